<script setup lang="ts">
import { actionsWords, drumTrueWords, levelWords, verdictsWords } from '~~/shared/wording/en'
import { fromCore, toCore } from '~~/core/units/unitSystem'
import { drawTurn, TURN } from '~~/shared/stages/level/drawing'
import { marksOf } from '~~/shared/stages/level/turn'
import { faceCircle } from '~~/shared/stages/tram/drawing'
import { drumTrueWorking } from '~~/shared/stages/drumTrue/working'
import { clockFace } from '~~/shared/wording/clockFace'
import { drumRunoutLimit, meaningOfDrum, meaningOfSurface } from '~~/shared/wording/drumTrue'
import { figure } from '~~/shared/wording/figures'
import { isInBand } from '~~/core/stages/measure/measurement'

/** The drum by itself: turned mark by mark under a dial, struck lightly where it stands high, turned again. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, state, read, typed, drum, surface, clear } = useDrumTrue()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => drumTrueWords(telling.value.words))
const closed = computed(() => state.value.closing !== null)
const meaning = computed(() =>
  typed.value || surface.value.latest
    ? meaningOfSurface(surface.value, telling.value)
    : meaningOfDrum(drum.value, telling.value),
)
const latest = computed(() => surface.value.latest)
const again = ref(false)
/** The last turn stands on the board until another begins. */
const showing = computed(() => !typed.value && latest.value !== null && !again.value && !surface.value.open)
watch(
  () => form.value.surface,
  () => {
    again.value = false
  },
)
const readingsOf = computed(() => {
  const p = latest.value?.entry.payload
  return (p?.readings ?? []).map((r) => ({
    clock: r.clock,
    value: toCore(r.value, 'displacement', p!.units),
  }))
})
const marks = computed(() =>
  showing.value ? [...new Set(readingsOf.value.map((r) => r.clock))] : marksOf(form.value.count),
)
const values = computed(() =>
  showing.value
    ? Object.fromEntries(
        readingsOf.value.map((r) => [
          r.clock,
          String(Number(fromCore(r.value, 'displacement', session.units).toPrecision(6))),
        ]),
      )
    : form.value.values,
)
const turn = computed(() => drawTurn(latest.value?.result ?? null, latest.value ? readingsOf.value : []))
const note = computed(() => {
  const circle = faceCircle(state.value)
  return latest.value && circle > 0
    ? w.value.note(`${Math.max(1, Math.round((turn.value.times * circle) / (2 * TURN.radius)))}×`)
    : w.value.noteBare
})
const d = (x: number) => figure(x, 'displacement', session.units, { extra: 1 })
const rows = computed(() =>
  surface.value.turns.map((t, i) => ({
    key: t.entry.id,
    name: i === 0 ? w.value.first : w.value.nth(i + 1),
    tir: d(t.result.tir),
    at: clockFace(t.result.strikeAt),
    effect: t.effect ? w.value.effects[t.effect] : '',
    verdict: t.result.verdict,
  })),
)
const tap = computed(() =>
  surface.value.advice.what === 'tap' && !typed.value ? surface.value.advice : null,
)

const log = () => {
  const { runout } = read.value
  if (!runout || closed.value || !ask.mayGo()) return
  if (!job.log({ kind: 'runout-read', payload: { ...runout, limit: null, remark: form.value.words.trim() } }))
    return
  clear()
  again.value = false
}
const struck = () => {
  if (!tap.value) return
  const payload = {
    surface: surface.value.surface,
    mark: Math.round(tap.value.mark) % 360,
    words: form.value.words.trim(),
  }
  if (job.log({ kind: 'drum-tapped', payload })) clear()
}
const board = useTemplateRef<{ focus: (clock: number) => void }>('board')
const nextMark = computed(() => read.value.missing[0])
const enterMark = (clock: number) => {
  const at = marks.value.indexOf(clock)
  const next = [...marks.value.slice(at + 1), ...marks.value].find((m) => read.value.missing.includes(m))
  if (next !== undefined) board.value?.focus(next)
  else log()
}
const whole = computed(() => drum.value.verdict === 'in' || drum.value.verdict === 'edge')
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'drum-runout', why } })) goOn()
}
const trammed = computed(() => isInBand(state.value.latest))
const working = () =>
  latest.value ? drumTrueWorking(surface.value, drum.value, state.value.rpm, telling.value) : []
</script>

<template>
  <BoardFrame :title="`${w.title}: ${w.surfaces[surface.surface].toLowerCase()}`" :note="note">
    <div class="tools">
      <ChoiceRow
        v-model="form.surface"
        :label="w.surface"
        show-label
        on-dye
        :options="[
          { value: 'rim', name: w.surfaces.rim },
          { value: 'face', name: w.surfaces.face },
        ]"
      />
      <ChoiceRow
        v-model="form.count"
        :label="w.count"
        show-label
        on-dye
        :disabled="closed || showing || typed"
        :options="[
          { value: '4', name: '4' },
          { value: '8', name: '8' },
          { value: '12', name: '12' },
        ]"
      />
      <NumberBox
        v-if="surface.surface === 'face'"
        v-model="form.diameter"
        :label="w.diameter"
        on-dye
        measure="distance"
        :units="session.units"
        :disabled="closed || showing"
        :note="read.faults.diameter ?? ''"
        :note-is-fault="'diameter' in read.faults"
      />
    </div>
    <p class="quiet">{{ w.markIt }}</p>
    <TurnedHub
      ref="board"
      :marks="marks"
      :values="values"
      :turn="turn"
      :faults="read.faults"
      :name="w.title"
      :units="session.units"
      :locked="closed || showing"
      @value="(clock, text) => (form.values[clock] = text)"
      @enter="enterMark"
    />
    <label class="words">
      <span>{{ w.words }}</span>
      <el-input v-model="form.words" :aria-label="w.words" maxlength="500" :disabled="closed" />
    </label>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <p v-if="!trammed && !closed" class="muted">{{ w.tramFirst }}</p>
    <FigureTable v-if="rows.length" :head="[...w.table, '']">
      <tr v-for="r in rows" :key="r.key">
        <td>{{ r.name }}</td>
        <td class="figure">{{ r.tir }}</td>
        <td class="figure">{{ r.at }}</td>
        <td>{{ r.effect }}</td>
        <td class="verdict">
          <VerdictMark :mark="r.verdict" /> {{ verdictsWords(telling.words)[r.verdict] }}
        </td>
      </tr>
    </FigureTable>
    <p class="muted">{{ drumRunoutLimit(drum, telling) }}</p>
    <p class="caution">{{ w.caution }}</p>
    <p v-if="latest && new Set(readingsOf.map((r) => r.clock)).size === 8" class="muted">
      {{ levelWords(telling.words).runout.eight }}
    </p>
    <el-button v-if="!closed && !whole" link class="text-button" @click="skipping = true">{{
      w.passOver
    }}</el-button>
    <ShowWorking v-if="latest" :steps="working" />
    <WhyDialog
      v-model="skipping"
      :title="w.passOver"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else-if="showing">
        <el-button link class="text-button" @click="again = true">{{ w.again }}</el-button>
        <el-button v-if="tap" class="next-button" @click="struck">{{
          w.struck(clockFace(tap.mark))
        }}</el-button>
        <el-button v-else class="next-button" @click="goOn()">{{ w.goOn }}</el-button>
      </template>
      <el-button v-else class="next-button" :disabled="!read.runout" @click="log">{{
        read.runout || nextMark === undefined ? w.log : w.readNext(clockFace(nextMark))
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  margin: 6px 0;
}
.tools > :not(.choice) {
  width: 210px;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
}
.words span {
  display: block;
  font-size: 14px;
  color: var(--scribe-dim);
}
.verdict {
  white-space: nowrap;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
</style>
