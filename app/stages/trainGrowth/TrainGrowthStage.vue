<script setup lang="ts">
import { actionsWords, targetsWords, trainWords } from '~~/shared/wording/en'
import { PLANES } from '~~/core/frame/planes'
import {
  blankGrowth,
  boxKey,
  growAlike,
  nameGrowthUnits,
  readGrowth,
  textsOfGrowth,
  type GrowthTexts,
} from '~~/shared/stages/trainGrowth/form'
import type { RiseBox, RiseTexts } from '~~/shared/stages/target/form'
import { offsetWords, slopeWords } from '~~/shared/wording/directions'
import { meaningOfGrowth } from '~~/shared/wording/train'
import { capital } from '~~/shared/wording/capital'
import { farEnd } from '~~/shared/wording/telling'

/** What every machine of the line does as it warms; the cold target of each coupling follows. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => trainWords(telling.value.words).growth)
const t = computed(() => targetsWords(telling.value.words).view)
const state = computed(() => job.train!)
const closed = computed(() => state.value.closing !== null)
const machine = computed(() => state.value.machine)
const opening = (): GrowthTexts =>
  state.value.growth
    ? textsOfGrowth(state.value.growth.set, machine.value, session.units)
    : blankGrowth(machine.value, session.units)
const { draft: form } = useDraft<GrowthTexts>('growth', opening)
useUnitsOfDraft(form, nameGrowthUnits)
const read = computed(() => readGrowth(form.value, machine.value, telling.value))
const ask = useAskOnce(() => read.value.questions)
const changed = computed(() => JSON.stringify(form.value) !== JSON.stringify(opening()))
watch(
  read,
  ({ payload }) => {
    job.draft = payload && changed.value ? job.compose({ kind: 'growth-set', payload }) : null
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  job.draft = null
})
const shown = computed(() => job.liveTrain ?? state.value)
const meaning = computed(() => {
  const told = meaningOfGrowth(state.value, telling.value)
  return changed.value ? { ...told, mark: 'todo' as const } : told
})
/** What each coupling is set to, as its own reader sees it. */
const targets = computed(() =>
  shown.value.couplings.map(({ part, state: own }) => {
    const to = telling.value.of(part.machine)
    const far = farEnd(own.feet.movable, to)
    return {
      id: part.id,
      name: part.name,
      planes: PLANES.map((p) =>
        [offsetWords(own.target.offset[p], p, to), slopeWords(own.target.slope[p], p, far, to)].join('; '),
      ),
    }
  }),
)
const rows = computed(() =>
  state.value.machines.map(({ part }) => ({
    id: part.id,
    name: part.name,
    pairs: part.machine.feet.movable.map((f) => ({
      id: f.id,
      key: boxKey(f.id),
      name: capital(telling.value.of(part.machine).footNames(f.id)),
    })),
  })),
)
const textsOf = (id: string, key: string): RiseTexts => form.value.machines[id]![key]!
const box = (id: string, key: string, at: RiseBox, measure: 'displacement' | 'distance' | 'plain') => {
  const remark = read.value.remarks[`${id}.${key}.${at}`]
  const own = textsOf(id, key)
  return {
    modelValue: at === 'x' ? '' : own[at],
    measure,
    units: session.units,
    onDye: true,
    signed: at !== 'height' && at !== 'alpha',
    disabled: closed.value,
    note: remark?.text ?? '',
    noteIsFault: remark?.fault ?? false,
    'onUpdate:modelValue': (typed: string) => {
      if (at !== 'x') own[at] = typed
    },
  }
}
const howOf = (id: string) => Object.values(form.value.machines[id] ?? {})[0]?.how ?? 'heat'
const setHow = (id: string, how: 'heat' | 'typed') => {
  for (const own of Object.values(form.value.machines[id] ?? {})) own.how = how
}
const alike = (id: string) => growAlike(form.value, machine.value, id)
const cold = computed(() => read.value.remarks.cold)
const degrees = computed(() => (session.units === 'inch' ? '°F' : '°C'))
const log = () => {
  const { payload } = read.value
  if (closed.value || !payload || !ask.mayGo()) return
  if (job.log({ kind: 'growth-set', payload })) {
    form.value = opening()
    goOn()
  }
}
</script>

<template>
  <BoardFrame :title="w.title" :note="w.intro" scrolls>
    <div class="tools">
      <div class="cold">
        <NumberBox
          v-model="form.cold"
          :label="`${t.cold}, ${degrees}`"
          measure="plain"
          :units="session.units"
          signed
          on-dye
          :disabled="closed"
          :note="cold?.text ?? ''"
          :note-is-fault="cold?.fault ?? false"
        />
      </div>
      <label class="source">
        <span>{{ t.sourceBox }}</span>
        <el-input
          v-model="form.source"
          :aria-label="t.sourceBox"
          :placeholder="t.sourceAsk"
          :disabled="closed"
          maxlength="200"
        />
      </label>
    </div>
    <section v-for="m in rows" :key="m.id" :aria-label="m.name" class="machine">
      <div class="head">
        <h3>{{ m.name }}</h3>
        <ChoiceRow
          :model-value="howOf(m.id)"
          :label="t.how"
          on-dye
          :disabled="closed"
          :options="[
            { value: 'heat', name: t.byHeat },
            { value: 'typed', name: t.byRise },
          ]"
          @update:model-value="setHow(m.id, $event)"
        />
        <el-button v-if="!closed" link class="text-button on-dye" @click="alike(m.id)">{{
          t.same
        }}</el-button>
      </div>
      <fieldset v-for="p in m.pairs" :key="p.key" class="pair">
        <legend>{{ p.name }}</legend>
        <template v-if="textsOf(m.id, p.key).how === 'heat'">
          <MaterialPick
            :model-value="textsOf(m.id, p.key).material"
            :label="w.material(`${m.name}, ${p.name.toLowerCase()}`)"
            :disabled="closed"
            @update:model-value="textsOf(m.id, p.key).material = $event as RiseTexts['material']"
          />
          <NumberBox
            v-if="textsOf(m.id, p.key).material === 'own'"
            v-bind="box(m.id, p.key, 'alpha', 'plain')"
            :label="`${t.alpha}, 10⁻⁶`"
          />
          <NumberBox v-bind="box(m.id, p.key, 'height', 'distance')" :label="t.height" />
          <NumberBox v-bind="box(m.id, p.key, 'running', 'plain')" :label="`${t.running}, ${degrees}`" />
        </template>
        <NumberBox v-else v-bind="box(m.id, p.key, 'rise', 'displacement')" :label="t.rise" />
        <NumberBox v-bind="box(m.id, p.key, 'side', 'displacement')" :label="t.side" />
      </fieldset>
    </section>
    <p class="quiet">{{ w.empty }}</p>
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <h3>{{ w.setTo }}</h3>
    <dl>
      <template v-for="c in targets" :key="c.id">
        <dt>{{ c.name }}</dt>
        <dd v-for="line in c.planes" :key="line">{{ line }}</dd>
      </template>
    </dl>
    <p v-if="state.plan && changed" class="muted">{{ w.planStale }}</p>
    <template #next>
      <el-button v-if="closed || !changed || !read.payload" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <el-button v-else class="next-button" @click="log">{{ w.log }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools,
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
}
.tools {
  margin-bottom: 8px;
}
.cold {
  width: 150px;
}
.source {
  flex: 1;
  min-width: 160px;
}
.source span {
  display: block;
  color: var(--scribe-dim);
  font-size: 14px;
  margin-bottom: 5px;
}
.machine {
  border-top: 1px solid var(--dye-line, #3d4690);
  padding: 10px 0 12px;
}
.head h3 {
  font-size: 17px;
  min-width: 120px;
  padding-bottom: 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(132px, 1fr));
  gap: 8px 14px;
  align-items: end;
  border: 0;
  margin: 8px 0 0;
  padding: 0;
}
.pair legend {
  color: var(--scribe-dim);
  padding: 0;
}
.on-dye {
  color: var(--scribe);
  padding-bottom: 8px;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
h3 {
  font-size: 16px;
}
dl {
  margin: 0;
}
dt {
  font-weight: 700;
  margin-top: 8px;
}
dd {
  margin: 2px 0 0;
  color: var(--muted);
}
</style>
