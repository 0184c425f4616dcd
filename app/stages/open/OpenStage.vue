<script setup lang="ts">
import { openingWords, setsWords, reasonsWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { isOverdue, overdueIn } from '~~/core/stages/open/kit'
import { toolsToTake, type ToolId, type ToolUse } from '~~/core/tools/toolsToTake'
import { instrumentWords, meaningOfOpening, toolWords } from '~~/shared/wording/open'

/** Why this job is done and for whom; what goes along to the machine, and whether the instruments are calibrated. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => openingWords(telling.value.words))
const state = computed(() => job.measured!)
const closed = computed(() => state.value.closing !== null)
const kit = computed(() => state.value.kit)

/** What is ticked; what was logged stands ticked until something is changed. */
const { draft } = useDraft<{ touched: boolean; tools: ToolId[]; instruments: string[] }>('open', () => ({
  touched: false,
  tools: [],
  instruments: [],
}))
const method = computed(() => state.value.setUp?.how.method ?? state.value.machine.usual.method)
const tools = computed(() => toolsToTake(state.value.machine, method.value, job.leavesBefore))
/** What is used at the machine itself, and what it is measured with. */
const columns = computed(() => {
  const group = (use: ToolUse) => ({ use, tools: tools.value.filter((t) => t.use === use) })
  return [[group('prepare'), group('feet'), group('move')], [group('measure')]]
})
const taking = computed(() => w.value.view.toTake(setsWords(telling.value.words).methods[method.value]))
const stores = computed(() => session.works?.instruments ?? [])
const ticked = computed(() =>
  draft.value.touched || !kit.value
    ? draft.value
    : { tools: kit.value.payload.tools, instruments: kit.value.payload.instruments.map((i) => i.id) },
)
const change = (next: Partial<{ tools: ToolId[]; instruments: string[] }>) => {
  draft.value = {
    touched: true,
    tools: [...ticked.value.tools],
    instruments: [...ticked.value.instruments],
    ...next,
  }
}
const today = dayjs().format('YYYY-MM-DD')
const chosen = computed(() =>
  stores.value
    .filter((i) => ticked.value.instruments.includes(i.id))
    .map(({ id, name, due }) => ({ id, name, due })),
)
const shown = computed(() =>
  draft.value.touched
    ? {
        ...state.value,
        kit: job.compose({
          kind: 'tools-taken',
          payload: { tools: ticked.value.tools, instruments: chosen.value, words: '' },
        }) as typeof kit.value,
      }
    : state.value,
)
const meaning = computed(() => meaningOfOpening(shown.value, telling.value))
const overdue = computed(() => (shown.value.kit ? overdueIn(shown.value.kit) : []))
const facts = computed(() => {
  const opening = state.value.opening
  if (!opening) return []
  const { reason, rpm, customer, site, note } = opening.payload
  const v = w.value.view
  return [
    [v.reason, reasonsWords(telling.value.words)[reason]],
    [v.speed, v.speedIs(rpm, state.value.machine.rpm)],
    [v.customer, customer],
    [v.site, site ?? ''],
    [v.noteWords, note],
  ].filter(([, text]) => text)
})
const log = () => {
  const logged = job.log({
    kind: 'tools-taken',
    payload: { tools: [...ticked.value.tools], instruments: chosen.value, words: '' },
  })
  if (logged) draft.value = { touched: false, tools: [], instruments: [] }
}
const tickAll = () => change({ tools: tools.value.map((t) => t.id) })
</script>

<template>
  <BoardFrame
    :title="w.view.title"
    :note="state.opening ? w.view.note(session.personName(state.opening.author)) : ''"
  >
    <dl>
      <template v-for="[name, text] in facts" :key="name">
        <dt>{{ name }}</dt>
        <dd>{{ text }}</dd>
      </template>
    </dl>
    <CorrectOpening v-if="!closed" />
    <div class="lists">
      <section v-for="(column, n) in columns" :key="n">
        <h3 v-if="n === 0">{{ taking }}</h3>
        <el-checkbox-group
          :model-value="[...ticked.tools]"
          :disabled="closed"
          :aria-label="taking"
          @update:model-value="change({ tools: $event as ToolId[] })"
        >
          <template v-for="g in column" :key="g.use">
            <h4>{{ w.tools.uses[g.use] }}</h4>
            <el-checkbox v-for="t in g.tools" :key="t.id" :value="t.id">{{
              toolWords(t, telling)
            }}</el-checkbox>
          </template>
        </el-checkbox-group>
        <template v-if="n === 1">
          <h3 class="second">{{ w.view.instruments }}</h3>
          <p v-if="stores.length === 0" class="quiet">{{ w.view.none }}</p>
          <el-checkbox-group
            :model-value="[...ticked.instruments]"
            :disabled="closed"
            :aria-label="w.view.instruments"
            @update:model-value="change({ instruments: $event as string[] })"
          >
            <el-checkbox
              v-for="i in stores"
              :key="i.id"
              :value="i.id"
              :class="{ overdue: isOverdue(i, today) }"
              >{{ instrumentWords(i, isOverdue(i, today), telling) }}</el-checkbox
            >
          </el-checkbox-group>
        </template>
      </section>
    </div>
  </BoardFrame>
  <LedgerFrame desk-work own :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <ul v-if="overdue.length > 1">
      <li v-for="i in overdue" :key="i.id">{{ instrumentWords(i, true, telling) }}</li>
    </ul>
    <p v-if="overdue.length > 0">{{ w.view.overdueDetail }}</p>
    <VibrationNote moment="before" />
    <el-button v-if="!closed" class="quiet-button" @click="tickAll">{{ w.view.all }}</el-button>
    <template #next>
      <el-button v-if="draft.touched && !closed" class="next-button" @click="log">{{ w.view.log }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ w.view.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px 16px;
  margin: 6px 0 16px;
}
dt,
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
dd {
  margin: 0;
  color: #fff;
}
.lists {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
}
h3 {
  font-size: 16px;
  color: #fff;
}
.second {
  margin-top: 18px;
}
h4 {
  margin: 10px 0 2px;
  font-size: 14px;
  font-weight: 400;
  color: var(--scribe-dim);
}
.lists :deep(.el-checkbox) {
  display: flex;
  height: auto;
  min-height: 40px;
  margin-right: 0;
  white-space: normal;
  --el-checkbox-text-color: var(--scribe);
  --el-checkbox-checked-text-color: #fff;
}
.lists :deep(.el-checkbox__label) {
  font-size: 15px;
  line-height: 1.25;
}
.lists :deep(.el-checkbox__inner) {
  width: 22px;
  height: 22px;
}
.lists :deep(.el-checkbox__inner::after) {
  width: 6px;
  height: 11px;
  left: 7px;
  top: 2px;
  border-color: var(--dye-deep);
  border-width: 2px;
}
.overdue {
  --el-checkbox-text-color: var(--edge-on-dye) !important;
}
@media (max-width: 640px) {
  .lists {
    grid-template-columns: 1fr;
  }
}
</style>
