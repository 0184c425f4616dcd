<script setup lang="ts">
import type { FOOT_NAMES } from '~~/core/feet/softFoot'
import type { FeetEntries, FootRef } from '~~/core/stages/feet/entries'
import { fromCore, toCore } from '~~/core/units/unitSystem'
import type { DrawnFoot } from '~/boards/FeetBoard.vue'
import { feetWorking } from '~~/shared/stages/feet/working'
import { footKey } from '~~/shared/stages/move/form'
import { asTyped, figure, pack, UNIT_NAMES } from '~~/shared/wording/figures'
import { movableName } from '~~/shared/wording/headlines'
import { farEnd } from '~~/shared/wording/readings'
import { diagonalFeet, meaningOfFeet, placeOf, shortFoot } from '~~/shared/wording/softFoot'
import FillFoot from './FillFoot.vue'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, read, order, state, machine, showing, live, cure, names, nameOf, again, startAgain, settled } =
  useFeetForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => telling.value.words.softFoot)
const v = computed(() => w.value.view)
const closed = computed(() => state.value.closing !== null)
const measured = computed(() => state.value.latest.sets.some((s) => s.leftOut === null))
const meaning = computed(() =>
  meaningOfFeet(live.value, machine.value, movableName(state.value), telling.value),
)
/** The reading that is drawn, and the one before it. */
const drawn = computed(() => live.value.readings[live.value.readings.length - 1] ?? null)
const before = computed(
  () =>
    [...live.value.readings]
      .slice(0, -1)
      .reverse()
      .find((r) => r !== null) ?? null,
)
const beforeNumber = computed(() => live.value.readings.indexOf(before.value) + 1)
const gaps = computed(() => live.value.rounds[live.value.rounds.length - 1]?.gaps ?? null)
const roundNumber = computed(() => live.value.rounds.length + (again.value && !job.draft ? 1 : 0))
const d = (x: number, unit = true) => figure(x, 'displacement', session.units, { unit })
const shims = (list: readonly number[]) =>
  `${pack(list, session.units)} ${UNIT_NAMES[session.units].displacement}`
const refOf = (name: (typeof FOOT_NAMES)[number]) => names.value?.[name]

const markOf = (rise: number, limit: number) =>
  rise > limit ? ('out' as const) : rise > 0.8 * limit ? ('edge' as const) : ('in' as const)
const riseOf = (foot: FootRef, reading: typeof drawn.value) => {
  const entry = reading?.round.rises?.payload.rises.find((r) => r.pair === foot.pair && r.side === foot.side)
  if (!entry || !reading) return null
  const name = nameOf(foot)
  const { units } = reading.round.rises!.payload
  return name ? reading.rises[name] : toCore(entry.rise, 'displacement', units)
}
const gapAt = (foot: FootRef) => {
  const felt = gaps.value?.payload.gaps.find((g) => g.pair === foot.pair && g.side === foot.side)
  return felt && gaps.value
    ? toCore(Math.max(...Object.values(felt.corners)), 'displacement', gaps.value.payload.units)
    : null
}
/** f1 to f4 in their order, then those between. */
const listed = computed(() => [...feet.value].sort((a, b) => (a.name || 'f9').localeCompare(b.name || 'f9')))
const feet = computed((): DrawnFoot[] => {
  const rows = [...machine.value.feet.movable].sort((a, b) => Math.abs(a.x) - Math.abs(b.x))
  return rows.flatMap((row) =>
    (['left', 'right'] as const).map((side): DrawnFoot => {
      const ref = { machine: 'movable' as const, pair: row.id, side }
      const name = nameOf(ref)
      const at = state.value.packs.find((p) => p.machine === 'movable' && p.id === row.id)
      const rise = riseOf(ref, drawn.value)
      const own = name !== '' && cure.value?.foot === name
      return {
        key: footKey(row.id, side),
        name,
        place: placeOf(ref, telling.value),
        left: side === 'left',
        order: order.value.findIndex((o) => o.pair === row.id && o.side === side),
        pack: at?.packs[side] ?? [],
        putIn: own ? (cure.value?.putIn ?? []) : [],
        takenOut: own ? (cure.value?.takenOut ?? []) : [],
        rise,
        before: riseOf(ref, before.value),
        mark: rise === null || !drawn.value ? null : markOf(rise, drawn.value.limit),
        gap: gapAt(ref),
      }
    }),
  )
})
/** What stands in the boxes: what is being typed, else what was read. */
const texts = computed(() =>
  showing.value && drawn.value
    ? Object.fromEntries(
        feet.value.map((f) => [f.key, f.rise === null ? '' : asTyped(f.rise, 'displacement', session.units)]),
      )
    : form.value.rises,
)
const step = computed(() => (showing.value ? 'rises' : form.value.step))
const means = (r: typeof drawn.value): readonly [number, number] | null =>
  r && [(r.rises.f1 + r.rises.f3) / 2, (r.rises.f2 + r.rises.f4) / 2]
const half = (r: typeof drawn.value) => r && Math.abs(r.result.twist) / 2

const diagonal = computed(() =>
  drawn.value?.result.diagonal ? diagonalFeet(drawn.value.result.diagonal) : null,
)
/** Why this foot of the two, in a sentence. */
const because = computed(() => {
  const { foot } = cure.value ?? {}
  if (!foot) return ''
  const felt = drawn.value?.felt.some((f) => f.name === foot)
  return felt ? w.value.cure.seen(foot) : w.value.cure.rises(foot)
})
const sum = computed(() => {
  if (!drawn.value || !diagonal.value || !cure.value) return ''
  const { rises } = drawn.value
  const larger = Math.max(...diagonal.value.own.map((f) => rises[f]))
  const smaller = Math.min(...diagonal.value.other.map((f) => rises[f]))
  return w.value.cure.sum(d(larger, false), d(smaller, false), d(larger - smaller))
})
/** How much and from which leaves, in sentences. */
const howMuch = computed(() => {
  const c = cure.value
  const limit = drawn.value?.limit ?? 0
  if (!c) return ''
  const t = w.value.cure
  const rest = Math.abs(c.wanted - c.lift)
  return [
    sum.value,
    ...(c.halved ? [t.half(d(c.wanted))] : []),
    ...(drawn.value?.result.advice.includes('fill-three-quarters') ? [t.spring] : []),
    ...(c.takenOut.length > 0 ? [t.stockOut(shims(c.takenOut))] : []),
    ...(c.putIn.length > 0 ? [t.stock(shims(c.putIn))] : []),
    ...(c.lift <= 1e-6 ? [t.none] : rest > 1e-6 && rest <= limit ? [t.left(d(rest))] : []),
  ].join(' ')
})
const canFill = computed(
  () => showing.value && !closed.value && !measured.value && (cure.value?.lift ?? 0) > 1e-6,
)
const filled = (payload: FeetEntries['foot-filled']) => {
  if (job.log({ kind: 'foot-filled', payload })) settled('rises')
}
const fill = () => {
  const at = cure.value && refOf(cure.value.foot)
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
  if (form.value.step === 'gaps') {
    const payload = read.value.gaps
    if (payload && job.log({ kind: 'gaps-felt', payload })) settled('rises')
    return
  }
  const { rises } = read.value
  if (!rises || !ask.mayGo() || !job.log({ kind: 'rises-read', payload: rises })) return
  settled('rises')
}
const board = useTemplateRef<HTMLElement>('board')
/** Enter goes to the next foot that is still to be read, and logs once all are. */
const enter = (key: string) => {
  if (form.value.step === 'gaps') {
    const boxes = [...(board.value?.querySelectorAll<HTMLInputElement>('.corners input') ?? [])]
    const at = boxes.indexOf(document.activeElement as HTMLInputElement)
    const next = boxes[at + 1]
    return next ? next.focus() : log()
  }
  const keys = order.value.map((o) => footKey(o.pair, o.side))
  const after = [...keys.slice(keys.indexOf(key) + 1), ...keys].find((k) => read.value.missing.includes(k))
  if (!after) return log()
  const name = feet.value.find((f) => f.key === after)
  board.value
    ?.querySelector<HTMLInputElement>(
      `[aria-label="${name?.name ? w.value.name(name.name, name.place) : name?.place}"] input`,
    )
    ?.focus()
}
const nextFoot = computed(() => {
  const f = feet.value.find((x) => x.key === read.value.missing[0])
  return f ? f.name || f.place : ''
})
const other = ref(false)
const choices = computed(() =>
  order.value
    .map((ref) => ({ ref, name: nameOf(ref) || placeOf(ref, telling.value) }))
    .sort((a, b) => a.name.localeCompare(b.name)),
)
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'feet', why } })) goOn()
}
const working = () => (drawn.value ? feetWorking(drawn.value, cure.value, telling.value) : [])
const slopeWords = (x: number) => figure(Math.abs(x), 'slope', session.units, { unit: true })
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
        @update:model-value="((form.step = $event), $event === 'gaps' && (again = true))"
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
    <div ref="board" class="fill">
      <FeetBoard
        :feet="feet"
        :step="step"
        :rises="texts"
        :corners="form.corners"
        :faults="read.faults"
        :twist="half(drawn)"
        :twist-before="half(before)"
        :diagonals="means(drawn)"
        :diagonals-before="means(before)"
        :limit="drawn?.limit ?? before?.limit ?? 0.0508"
        :locked="closed || showing"
        :stationary-name="job.machine?.stationaryName ?? ''"
        :far-name="farEnd(machine.feet.movable, telling)"
        :units="session.units"
        @update:rise="(key, text) => (form.rises[key] = text)"
        @update:corner="(key, text) => (form.corners[key] = text)"
        @enter="enter"
      />
    </div>
    <p class="quiet">{{ v.tightening }}</p>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <template v-if="drawn">
      <FigureTable :head="[v.rises4, ...(before ? [v.round(beforeNumber)] : []), v.now, '']">
        <tr v-for="f in listed" :key="f.key">
          <td>
            <strong>{{ f.name }}</strong> {{ f.place }}
          </td>
          <td v-if="before" class="figure muted">{{ f.before === null ? '–' : d(f.before, false) }}</td>
          <td class="figure">{{ f.rise === null ? '–' : d(f.rise, false) }}</td>
          <td>
            <template v-if="f.mark"
              ><VerdictMark :mark="f.mark" /> {{ telling.words.verdicts[f.mark] }}</template
            >
          </td>
        </tr>
        <tr>
          <td>{{ v.twistRow }}</td>
          <td v-if="before" class="figure muted">{{ d(half(before) ?? 0, false) }}</td>
          <td class="figure">{{ d(half(drawn) ?? 0, false) }}</td>
          <td></td>
        </tr>
      </FigureTable>
      <p class="muted source">{{ v.limit(d(drawn.limit)) }}</p>
    </template>
    <div v-if="cure && diagonal" class="cure">
      <h3>{{ w.cure.fill(cure.foot, d(cure.wanted)) }}</h3>
      <p>{{ howMuch }}</p>
      <p>
        {{ because }} <strong>{{ w.cure.never(...diagonal.other) }}</strong>
      </p>
      <p>{{ w.cure.then }}</p>
    </div>
    <p v-else-if="drawn?.result.pipeStrain">{{ w.cure.pipe }}</p>
    <p v-else-if="drawn?.result.diagnosis === 'springy'">{{ w.cure.springy }}</p>
    <p v-for="b in drawn?.result.bent ?? []" :key="b.foot">
      {{ w.cure.bent(b.foot, slopeWords(Math.max(Math.abs(b.slopeAlong), Math.abs(b.slopeAcross)))) }}
    </p>
    <template v-for="f in drawn?.felt ?? []" :key="`${f.pair}-${f.side}`">
      <div v-if="f.steps && drawn?.result.bent.some((b) => b.foot === f.name)">
        <p>{{ w.cure.steps(shortFoot(machine, f, telling), w.cure.edges[f.steps.openEdge]) }}</p>
        <StepLeaves :recipe="f.steps" :units="session.units" />
        <p class="muted">
          {{ f.steps.diagonal ? w.cure.diagonal : w.cure.mismatch(d(f.steps.mismatch)) }}
        </p>
      </div>
    </template>
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
    <FillFoot v-model="other" :feet="choices" @fill="filled" />
    <WhyDialog
      v-model="skipping"
      :title="v.passOver"
      :question="telling.words.actions.why"
      :action="telling.words.actions.passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        telling.words.actions.goOn
      }}</el-button>
      <template v-else-if="showing">
        <el-button
          v-if="canFill || drawn?.verdict !== 'out'"
          link
          class="text-button"
          @click="startAgain()"
          >{{ v.readAgain }}</el-button
        >
        <el-button v-if="canFill && cure" class="next-button" @click="fill">{{
          v.put(shims([...cure.putIn]), cure.foot, live.rounds.length + 1)
        }}</el-button>
        <el-button v-else-if="drawn?.verdict !== 'out'" class="next-button" @click="goOn()">{{
          v.goOn
        }}</el-button>
        <el-button v-else class="next-button" @click="startAgain()">{{ v.readAgain }}</el-button>
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
.cure h3 {
  font-size: 17px;
}
.cure p + p {
  margin-top: 8px;
}
</style>
