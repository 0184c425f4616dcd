<script setup lang="ts">
import { movableName } from '~~/shared/wording/machineNames'
import { farEnd } from '~~/shared/wording/telling'
import { actionsWords, softFootWords, verdictsWords } from '~~/shared/wording/en'
import type { FeetEntries } from '~~/core/stages/feet/entries'
import { outerFeet } from '~~/core/stages/feet/feetCheck'
import { SOFT_FOOT_LIMIT } from '~~/core/feet/softFoot'
import { fromCore } from '~~/core/units/unitSystem'
import { drawFeet, listed } from '~~/shared/stages/feet/drawing'
import { feetWorking } from '~~/shared/stages/feet/working'
import { footKey } from '~~/shared/stages/move/form'
import { asTyped, figure, pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { meaningOfFeet } from '~~/shared/wording/softFoot'
import FeetCure from './FeetCure.vue'
import { loadedAhead } from '../ahead'

/** Few jobs have instruments that speak. */
const LiveFill = defineAsyncComponent(() => import('~/components/instruments/LiveFill.vue'))
const FillFoot = loadedAhead(() => import('./FillFoot.vue'))

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const hush = useHush()
/** Where nothing says that the feet rock, nothing keeps one at them. */
const openStage = inject(openStageKey, () => {})
const { form, read, order, state, showing, live, cure, again, begin } = useFeetForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => softFootWords(telling.value.words))
const v = computed(() => w.value.view)
const machine = computed(() => state.value.machine)
const closed = computed(() => state.value.closing !== null)
const measured = computed(() => state.value.latest.sets.some((s) => s.leftOut === null))
const meaning = computed(() =>
  meaningOfFeet(live.value, machine.value, movableName(state.value), telling.value),
)
/** The reading that is drawn, and the one before it. */
const drawn = computed(() => live.value.readings.at(-1) ?? null)
const before = computed(() => live.value.readings.slice(0, -1).findLast((r) => r !== null) ?? null)
const beforeNumber = computed(() => live.value.readings.indexOf(before.value) + 1)
const roundNumber = computed(() => live.value.rounds.length + (again.value && !job.draft ? 1 : 0))
const d = (x: number, unit = true) => figure(x, 'displacement', session.units, { unit })
const limit = computed(() => drawn.value?.limit ?? SOFT_FOOT_LIMIT[machine.value.units])

const feet = computed(() =>
  drawFeet(
    {
      machine: machine.value,
      packs: state.value.packs,
      round: live.value.rounds[live.value.rounds.length - 1]!,
      reading: drawn.value,
      before: before.value,
      cure: cure.value,
    },
    telling.value,
  ),
)
const inOrder = computed(() => listed(feet.value))
/** What stands in the boxes: what is being typed, else what was read. */
const texts = computed(() =>
  showing.value
    ? Object.fromEntries(
        feet.value.map((f) => [f.key, f.rise === null ? '' : asTyped(f.rise, 'displacement', session.units)]),
      )
    : form.value.rises,
)
const step = computed(() => (showing.value ? 'rises' : form.value.step))

const canFill = computed(
  () => showing.value && !closed.value && !measured.value && (cure.value?.lift ?? 0) > 1e-6,
)
const filled = (payload: FeetEntries['foot-filled']) => {
  if (job.log({ kind: 'foot-filled', payload })) begin('rises', false)
}
const fill = () => {
  const at = cure.value && outerFeet(machine.value)?.[cure.value.foot]
  if (!cure.value || !at) return
  const typed = (list: readonly number[]) =>
    list.map((t) => Number(fromCore(t, 'displacement', session.units).toPrecision(10)))
  filled({
    units: session.units,
    change: { ...at, putIn: typed(cure.value.putIn), takenOut: typed(cure.value.takenOut) },
    why: '',
  })
}
const log = () => {
  if (closed.value) return
  const { gaps, rises } = read.value
  const logged =
    form.value.step === 'gaps'
      ? gaps !== null && job.log({ kind: 'gaps-felt', payload: gaps })
      : rises !== null && ask.mayGo() && job.log({ kind: 'rises-read', payload: rises })
  if (logged) begin('rises', false)
}
/** The other step; what was typed in either stays. */
const look = (at: typeof form.value.step) => {
  form.value.step = at
  again.value ||= at === 'gaps'
}
const board = useTemplateRef<{ focus: (key: string) => void; focusNextCorner: () => boolean }>('board')
/** Enter goes to the next box that is still to be read, and logs once all are. */
const enter = (key: string) => {
  if (form.value.step === 'gaps') {
    if (!board.value?.focusNextCorner()) log()
    return
  }
  const keys = order.value.map((o) => footKey(o.pair, o.side))
  const next = [...keys.slice(keys.indexOf(key) + 1), ...keys].find((k) => read.value.missing.includes(k))
  if (next) board.value?.focus(next)
  else log()
}
const nextFoot = computed(() => {
  const f = feet.value.find((x) => x.key === read.value.missing[0])
  return f ? f.name || f.place : ''
})
/** What a dial on the foot shows, into the box that is read next. */
const takeRise = (text: string) => {
  const [key] = read.value.missing
  if (key) form.value.rises[key] = text
}
const other = ref(false)
const later = useLater(other)
const choices = computed(() => inOrder.value.map((f) => ({ ref: f.ref, name: f.name || f.place })))
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'feet', why } })) goOn()
}
const working = () => (drawn.value ? feetWorking(drawn.value, cure.value, telling.value) : [])
</script>

<template>
  <BoardFrame :title="v.title(roundNumber)" :note="before && step === 'rises' ? v.noteBefore : v.note">
    <div class="tools">
      <ChoiceRow
        :model-value="step"
        :label="v.step"
        on-dye
        :disabled="closed"
        :options="[
          { value: 'gaps', name: v.gaps },
          { value: 'rises', name: v.rises },
        ]"
        @update:model-value="look($event)"
      />
      <ChoiceRow
        v-if="step === 'rises'"
        v-model="form.pipe"
        :label="v.pipe"
        show-label
        on-dye
        :disabled="closed || showing"
        :options="[
          { value: 'bolted', name: v.pipes.bolted },
          { value: 'slack', name: v.pipes.slack },
        ]"
      />
      <div v-else class="size">
        <NumberBox
          v-for="way in ['along', 'across'] as const"
          :key="way"
          v-model="form[way]"
          :label="v[way]"
          measure="distance"
          :units="session.units"
          on-dye
          :disabled="closed"
          :note="read.faults[way] ?? ''"
          :note-is-fault="way in read.faults"
        />
      </div>
    </div>
    <LiveFill
      v-if="nextFoot && step === 'rises' && !showing && !closed && job.links.length > 0"
      :places="[{ key: 'foot', name: nextFoot }]"
      zeroes
      @take="(_, text) => takeRise(text)"
    />
    <div class="fill">
      <FeetBoard
        ref="board"
        :feet="feet"
        :step="step"
        :rises="texts"
        :corners="form.corners"
        :faults="read.faults"
        :locked="closed || showing"
        :stationary-name="job.machine?.stationaryName ?? ''"
        :far-name="farEnd(machine.feet.movable, telling)"
        :units="session.units"
        @update:rise="(key, text) => (form.rises[key] = text)"
        @update:corner="(key, text) => (form.corners[key] = text)"
        @enter="enter"
      >
        <RockingFrame
          :twist="drawn?.twist ?? null"
          :twist-before="before?.twist ?? null"
          :diagonals="drawn?.diagonals ?? null"
          :diagonals-before="before?.diagonals ?? null"
          :limit="limit"
          :units="session.units"
        />
      </FeetBoard>
    </div>
    <p class="quiet">{{ v.tightening }}</p>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <template v-if="drawn">
      <FigureTable :head="[v.rises4, ...(before ? [v.round(beforeNumber)] : []), v.now, '']">
        <tr v-for="f in inOrder" :key="f.key">
          <td>
            <strong>{{ f.name }}</strong> {{ f.place }}
          </td>
          <td v-if="before" class="figure muted">{{ f.before === null ? '–' : d(f.before, false) }}</td>
          <td class="figure">{{ f.rise === null ? '–' : d(f.rise, false) }}</td>
          <td>
            <template v-if="f.mark"
              ><VerdictMark :mark="f.mark" /> {{ verdictsWords(telling.words)[f.mark] }}</template
            >
          </td>
        </tr>
        <tr>
          <td>{{ v.twistRow }}</td>
          <td v-if="before" class="figure muted">{{ d(before.twist, false) }}</td>
          <td class="figure">{{ d(drawn.twist, false) }}</td>
          <td></td>
        </tr>
      </FigureTable>
      <p class="muted source">{{ v.limit(d(drawn.limit)) }}</p>
    </template>
    <FeetCure v-if="drawn && !hush" :reading="drawn" :cure="cure" :machine="machine" />
    <p v-if="measured && drawn?.verdict === 'out'">{{ v.measuredAlready }}</p>
    <el-button
      v-if="showing && !closed && !measured && drawn?.verdict === 'out'"
      link
      class="text-button"
      @click="other = true"
      >{{ v.other }}</el-button
    >
    <el-button
      v-if="!closed && (!showing || drawn?.verdict === 'out')"
      link
      class="text-button"
      @click="skipping = true"
      >{{ v.passOver }}</el-button
    >
    <p class="muted">{{ v.fingers }}</p>
    <ShowWorking v-if="drawn" :steps="working" />
    <FillFoot v-if="later" v-model="other" :feet="choices" @fill="filled" />
    <WhyDialog
      v-model="skipping"
      :title="v.passOver"
      :question="actionsWords(telling.words).why"
      :action="actionsWords(telling.words).passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else-if="showing">
        <el-button
          v-if="canFill || drawn?.verdict !== 'out'"
          link
          class="text-button"
          @click="begin(form.step, true)"
          >{{ v.readAgain }}</el-button
        >
        <el-button v-if="hush" class="next-button" @click="openStage('rough-in')">{{ v.goOn }}</el-button>
        <el-button v-else-if="canFill && cure" class="next-button" @click="fill">{{
          v.put(
            `${pack(cure.putIn, session.units)} ${UNIT_NAMES[session.units].displacement}`,
            cure.foot,
            live.rounds.length + 1,
          )
        }}</el-button>
        <el-button v-else-if="drawn?.verdict !== 'out'" class="next-button" @click="goOn()">{{
          v.goOn
        }}</el-button>
        <el-button v-else class="next-button" @click="begin(form.step, true)">{{ v.readAgain }}</el-button>
      </template>
      <template v-else>
        <el-button v-if="form.step === 'gaps'" class="next-button" :disabled="!read.gaps" @click="log">{{
          read.gaps && read.gaps.gaps.length > 0 ? v.logGaps : v.noGaps
        }}</el-button>
        <el-button v-else class="next-button" :disabled="!read.rises" @click="log">{{
          read.rises || !nextFoot ? v.logRises : v.readNext(nextFoot)
        }}</el-button>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: end;
  margin-top: 8px;
}
.size {
  display: flex;
  gap: 12px;
  max-width: 290px;
}
.tools :deep(.el-radio-group) {
  flex-wrap: wrap;
}
.fill {
  flex: 1 0 auto;
  display: flex;
  margin-top: 8px;
}
.quiet {
  color: var(--scribe-dim);
  font-size: 14px;
  padding-top: 8px;
  border-top: 1px solid var(--dye-line);
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.source {
  font-size: 13px;
}
</style>
