<script setup lang="ts">
import { flangeWords, lookWords } from '~~/shared/wording/en'
import { asRegistered, readBoltShims } from '~~/shared/stages/flangeLook/form'
import { clockFace } from '~~/shared/wording/clockFace'
import { pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { meaningOfLooks } from '~~/shared/wording/look'
import { capital } from '~~/shared/wording/capital'

/** What lies under each bolt, leaf by leaf with its mark, before it comes out; clockwise from the marked one. */
const look = useSharedLook()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => flangeWords(telling.value.words))
const v = computed(() => lookWords(telling.value.words).view)
const state = computed(() => job.flange!)
const read = computed(() =>
  readBoltShims(look.form, state.value.boltsFound, state.value.shape.bolts, telling.value),
)
const ask = useAskOnce(() => read.value.questions)
const locked = computed(() => look.closed || state.value.shimmed)
const meaning = computed(() => meaningOfLooks(look.state.looks, telling.value))
const rows = computed(() =>
  state.value.boltsFound.map((b, i) => {
    const clock = clockFace(state.value.shape.bolts[i]?.clock ?? 0)
    const logged = b.found === null ? '' : b.found.length === 0 ? '0' : pack(b.found, session.units)
    return { ...b, clock, name: capital(w.value.bolt(clock)), logged: logged.replaceAll('+', ' + ') }
  }),
)
const boxes = (id: string, logged: string, marks: readonly string[]) =>
  look.form.shims[id] ?? { leaves: logged, marks: marks.some(Boolean) ? marks.join(', ') : '' }
const type = (row: (typeof rows.value)[number], change: Partial<{ leaves: string; marks: string }>) => {
  look.form.shims[row.bolt] = { ...boxes(row.bolt, row.logged, row.marks), ...change }
}
const log = () => {
  const { payload } = read.value
  if (locked.value || !payload || !ask.mayGo()) return
  if (job.log({ kind: 'bolt-shims-found', payload })) look.form.shims = {}
}
const board = useTemplateRef<HTMLElement>('board')
/** Enter goes to the next empty box of leaves, and logs behind the last. */
const enter = () => {
  const all = [...(board.value?.querySelectorAll<HTMLInputElement>('.leaves input') ?? [])]
  const at = all.findIndex((b) => b === document.activeElement)
  const next = all.slice(at + 1).find((b) => b.value.trim() === '')
  if (next) next.focus()
  else log()
}
</script>

<template>
  <BoardFrame :title="w.found.title" :note="w.found.note">
    <slot name="tools" />
    <el-button
      v-if="!locked"
      class="dye-button all"
      @click="look.form.shims = asRegistered(state.boltsFound, session.units)"
      >{{ w.found.asRegistered }}</el-button
    >
    <div ref="board" class="bolts">
      <div v-for="row in rows" :key="row.bolt" class="bolt" role="group" :aria-label="row.name">
        <b>{{ row.clock }}</b>
        <NumberBox
          class="leaves"
          :model-value="boxes(row.bolt, row.logged, row.marks).leaves"
          :label="row.name"
          hide-label
          measure="displacement"
          :units="session.units"
          list
          on-dye
          :disabled="locked"
          :note="read.faults[row.bolt] ?? w.found.registered(pack(row.registered, session.units))"
          :note-is-fault="row.bolt in read.faults"
          @update:model-value="type(row, { leaves: $event })"
          @enter="enter"
        />
        <el-input
          :model-value="boxes(row.bolt, row.logged, row.marks).marks"
          :placeholder="w.found.mark"
          :aria-label="`${w.found.mark}, ${row.name}`"
          :disabled="locked"
          maxlength="200"
          @update:model-value="type(row, { marks: $event })"
        />
      </div>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <p v-for="row in rows.filter((r) => r.differs)" :key="row.bolt">
      {{ w.found.lies(row.name, `${row.logged} ${UNIT_NAMES[session.units].displacement}`) }}
    </p>
    <p v-if="state.shimmed && !look.closed" class="muted">{{ v.shimmedAlready }}</p>
    <p class="caution">{{ w.lift.before }}</p>
    <p class="caution">{{ w.lift.onEnd }}</p>
    <template #next>
      <el-button v-if="read.payload && !locked" class="next-button" @click="log">{{ w.found.log }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ v.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.all {
  justify-self: start;
  align-self: start;
}
.bolts {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 8px 18px;
  margin-top: 10px;
}
.bolt {
  display: grid;
  grid-template-columns: 58px minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 8px;
  align-items: start;
}
b {
  padding-top: 12px;
  color: #fff;
  font-family: var(--figures);
  font-weight: 400;
  font-size: 18px;
}
.bolt :deep(.el-input__wrapper) {
  min-height: var(--touch);
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
</style>
