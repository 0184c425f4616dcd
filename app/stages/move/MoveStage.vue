<script setup lang="ts">
import { lineSum } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { SIDES } from '~~/core/plan/movePlan'
import { toCore } from '~~/core/units/unitSystem'
import { sideWords } from '~~/shared/wording/directions'
import { figure, thickness, UNIT_NAMES } from '~~/shared/wording/figures'
import { meaningOfMove } from '~~/shared/wording/headlines'
import { farEnd } from '~~/shared/wording/readings'
import { capital } from '~~/shared/wording/telling'
import { toleranceSource } from '~~/shared/wording/tolerances'

const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, clear, feet, read, plan, fill, correct } = useMoveForm()
const ask = useAskOnce(() => read.value.questions)

const w = computed(() => telling.value.words.moves)
const actions = computed(() => telling.value.words.actions)
const state = computed(() => job.coupled!)
const locked = computed(() => state.value.closing !== null || !state.value.setUp)
const last = computed(() => state.value.moves.at(-1) ?? null)
const pairs = computed(() =>
  feet.value.map((f) => {
    const of = (side: 'left' | 'right') => {
      const change = plan.value?.payload.changes.find(
        (c) => c.machine === 'movable' && c.pair === f.id && c.side === side,
      )
      const mm = (t: number) => toCore(t, 'displacement', plan.value?.payload.units ?? 'inch')
      return change ? { takeOut: change.takenOut.map(mm), putIn: change.putIn.map(mm) } : null
    }
    return {
      id: f.id,
      name: capital(telling.value.footNames(f.id)),
      packs: f.existing,
      planned: { left: of('left'), right: of('right') },
    }
  }),
)
const plannedSide = (id: string) =>
  plan.value
    ? (state.value.plan?.footwork.moves.find((m) => m.machine === 'movable' && m.id === id)?.h ?? 0)
    : 0
const plannedShims = computed(() => pairs.value.some((p) => SIDES.some((s) => p.planned[s])))
const plannedSides = computed(() => feet.value.some((f) => Math.abs(plannedSide(f.id)) > 1e-9))

/** The move being typed, as the fold sees it. */
const drafted = computed(() => {
  const record = job.draft ? job.liveCoupled?.moves.find((m) => m.entry.id === job.draft?.id) : null
  return record?.footwork ?? null
})
const predicted = computed(() => {
  const from = state.value.latest.coupling
  return from && drafted.value && !form.value.correcting ? lineSum(from, drafted.value.change) : null
})
const after = computed(() =>
  predicted.value ? judge(predicted.value, state.value.tolerance, state.value.target) : null,
)
const source = computed(() =>
  toleranceSource(state.value.machine.tolerance, state.value.rpm, telling.value.words.limits),
)
const waiting = computed(
  () => !read.value.payload && last.value !== null && state.value.latest.sets.length === 0 && !plan.value,
)
const meaning = computed(() => {
  const h = w.value.headlines
  if (drafted.value?.uneven.length) return { mark: 'out' as const, headline: h.rocks }
  if (form.value.correcting) return { mark: 'todo' as const, headline: h.correcting }
  const verdict = after.value?.verdict
  const mark = verdict && verdict !== 'unknown' ? verdict : ('todo' as const)
  if (read.value.hasShims && read.value.hasSide) return { mark, headline: h.both }
  if (read.value.hasShims) return { mark, headline: h.shims }
  if (read.value.hasSide) return { mark, headline: h.side }
  return meaningOfMove(state.value, telling.value)
})
const footOf = (u: { pair: string; machine: 'movable' | 'stationary' }) =>
  capital(telling.value.words.feet.feet(telling.value.footNames(u.pair, u.machine)))

const asking = ref(false)
const log = (reason?: string) => {
  const { payload } = read.value
  if (!payload || locked.value || !ask.mayGo()) return
  const { correcting } = form.value
  if (correcting && !reason) {
    asking.value = true
    return
  }
  if (!job.log({ kind: 'move-made', payload }, correcting && reason ? { entry: correcting, reason } : null))
    return
  clear()
  if (!correcting) goOn()
}
const d = (x: number) => figure(Math.abs(x), 'displacement', session.units, { unit: true })
const unit = computed(() => UNIT_NAMES[session.units].displacement)
</script>

<template>
  <BoardFrame
    :title="form.correcting ? w.view.titleCorrecting : w.view.title"
    :note="plan ? w.view.planned : w.view.free"
  >
    <template #tools>
      <el-button
        v-if="plannedShims"
        class="dye-button"
        :disabled="locked"
        @click="fill({ shims: true, side: false })"
        >{{ w.view.shimsAsPlanned }}</el-button
      >
      <el-button
        v-if="plannedSides"
        class="dye-button"
        :disabled="locked"
        @click="fill({ shims: false, side: true })"
        >{{ w.view.sidesAsPlanned }}</el-button
      >
    </template>
    <FootMap
      :pairs="pairs"
      :out="form.out"
      :in="form.in"
      :faults="read.faults"
      :locked="locked"
      :movable-name="job.machine?.movableName ?? ''"
      :far-name="farEnd(feet, telling)"
      :units="session.units"
      @update:shims="(way, key, text) => (form[way][key] = text)"
      @enter="log()"
    />
    <div class="sides">
      <div v-for="f in feet" :key="f.id">
        <p class="want">
          {{ capital(telling.footNames(f.id)) }}
          {{ plannedSide(f.id) ? sideWords(plannedSide(f.id), telling) : '' }}
        </p>
        <NumberBox
          :model-value="form.side[f.id] ?? ''"
          :label="w.view.pushed(capital(telling.footNames(f.id)))"
          measure="displacement"
          :units="session.units"
          signed
          on-dye
          :disabled="locked"
          :note="read.faults[`side.${f.id}`] ?? w.view.room(d(f.sidePlus), d(f.sideMinus))"
          @update:model-value="form.side[f.id] = $event"
          @enter="log()"
        />
      </div>
      <div class="remark">
        <label for="move-remark">{{ actions.remark }}</label>
        <el-input id="move-remark" v-model="form.remark" maxlength="2000" :disabled="locked" />
      </div>
    </div>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <p v-for="u in drafted?.uneven ?? []" :key="u.pair">{{ w.uneven(footOf(u), d(u.difference)) }}</p>
    <p v-for="(u, i) in drafted?.unknownShims ?? []" :key="i">
      {{
        w.unknownShim(
          `${thickness(u.thickness, session.units)} ${unit}`,
          `${telling.footNames(u.pair, u.machine)} ${telling.words.feet.sides[u.side]}`,
        )
      }}
    </p>
    <JudgementTable
      v-if="state.latest.judgement && after"
      :judgement="state.latest.judgement"
      :after="after"
      :source="source"
      :target="state.coldTarget"
    />
    <el-button
      v-if="last && !locked && !form.correcting"
      link
      class="text-button"
      @click="correct(last.entry)"
      >{{ w.view.correctLast }}</el-button
    >
    <el-button v-if="form.correcting" link class="text-button" @click="clear()">{{
      actions.leaveAsItWas
    }}</el-button>
    <ol class="order">
      <li v-for="step in w.view.order" :key="step">{{ step }}</li>
    </ol>
    <WhyDialog
      v-model="asking"
      :title="w.view.correctLast"
      :question="actions.whatWasWrong"
      :action="actions.logCorrection"
      @say="log($event)"
    />
    <template #next>
      <el-button v-if="waiting" class="next-button" @click="goOn()">{{ w.view.goMeasure }}</el-button>
      <el-button v-else class="next-button" :disabled="!read.payload || locked" @click="log()">
        {{ form.correcting ? actions.logCorrection : w.view.log }}
      </el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 16px;
  margin-top: 10px;
}
.want {
  color: var(--brass-on-dye);
  font-weight: 600;
  min-height: 22px;
}
.remark {
  grid-column: 1 / -1;
  display: flex;
  gap: 12px;
  align-items: center;
  color: var(--scribe-dim);
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.order {
  margin: 14px 0 0;
  padding-left: 20px;
  color: var(--muted);
}
.order li + li {
  margin-top: 4px;
}
</style>
