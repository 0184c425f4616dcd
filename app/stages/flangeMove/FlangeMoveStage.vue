<script setup lang="ts">
import { actionsWords, flangeWords, movesWords, pushingWords } from '~~/shared/wording/en'
import { lineSum } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { flangeDrawing } from '~~/shared/drawing/flangeClock'
import { clockFace } from '~~/shared/wording/clockFace'
import { pack, thickness, UNIT_NAMES } from '~~/shared/wording/figures'
import { boltClock, meaningOfFlangeMove, pickWords, pushWords } from '~~/shared/wording/flange'
import { limitSource } from '~~/shared/wording/tolerances'
import StarTighten from './StarTighten.vue'

/** Shims under the bolts, or a push watched on two dials: what the plan wants, and what was really done. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const { form, clear, state, plan, leaves, read, asPlanned, correct } = useFlangeMove()
const ask = useAskOnce(() => read.value.questions)
const w = computed(() => flangeWords(telling.value.words))
const m = computed(() => w.value.move)
const actions = computed(() => actionsWords(telling.value.words))
const locked = computed(() => state.value.closing !== null || !state.value.setUp)
const last = computed(() => state.value.moves.at(-1) ?? null)
const planned = computed(() => (state.value.plan && !state.value.plan.stale ? state.value.plan : null))

const picked = ref<'shims' | 'push' | null>(null)
const step = computed({
  get: () => picked.value ?? (planned.value?.work.push ? 'push' : 'shims'),
  set: (which) => (picked.value = which),
})
const loose = computed(() => state.value.spigot.fit === 'loose')
const steps = computed(() =>
  (['shims', 'push'] as const).map((value) => ({ value, name: m.value.steps[value] })),
)

/** The move being typed, as the fold sees it. */
const drafted = computed(() =>
  job.draft ? (job.liveFlange?.moves.find((x) => x.entry.id === job.draft?.id)?.work ?? null) : null,
)
const shownWork = computed(() => drafted.value ?? planned.value?.work ?? null)
const drawing = computed(() => {
  const added = shownWork.value?.added ?? []
  return flangeDrawing(state.value.shape.bolts, added, state.value.latest.coupling, {
    leaves: added.map((t) => (t > 0 ? [t] : [])),
  })
})
const after = computed(() => {
  const from = state.value.latest.coupling
  return from && drafted.value && !form.value.correcting
    ? judge(lineSum(from, drafted.value.change), state.value.tolerance, state.value.target)
    : null
})
const meaning = computed(() =>
  form.value.correcting
    ? { mark: 'todo' as const, headline: m.value.correcting, detail: '' }
    : meaningOfFlangeMove(state.value, telling.value),
)
const rows = computed(() =>
  state.value.shape.bolts.map((b, i) => ({
    id: b.id,
    clock: clockFace(b.clock),
    lies: pack(leaves.value[i] ?? [], session.units),
    planned: planned.value?.entry.payload.changes.some((c) => c.bolt === b.id && c.putIn.length > 0) ?? false,
  })),
)
const picks = computed(() =>
  planned.value && !drafted.value
    ? pickWords(
        planned.value.entry.payload.changes,
        state.value.shape.bolts,
        planned.value.entry.payload.units,
        telling.value,
      )
    : [],
)
const source = computed(() => limitSource(state.value, telling.value))
const waiting = computed(
  () => !read.value.payload && last.value !== null && state.value.latest.sets.length === 0 && !plan.value,
)
/** Dials are read again behind tightening once they stand at zero. */
const when = computed((): 'pushing' | 'tightened' => (state.value.push?.arrived ? 'tightened' : 'pushing'))
const counting = computed(
  () => step.value === 'push' && state.value.push !== null && !locked.value && !form.value.correcting,
)
const typedCount = computed(() => form.value.toGo.v.trim() !== '' || form.value.toGo.h.trim() !== '')
const logCount = () => {
  const { toGo } = read.value
  if (!toGo || locked.value) return
  const payload = { units: session.units, when: when.value, toGo }
  if (!job.log({ kind: 'flange-counts-read', payload })) return
  form.value.toGo = { v: '', h: '' }
  // Dials that were logged say how far it was pushed: the boxes take it, and may be corrected.
  const gone = state.value.push?.gone
  if (gone) form.value.pushed = { v: thickness(gone.v, session.units), h: thickness(gone.h, session.units) }
}
const asking = ref(false)
const log = (reason?: string) => {
  const { payload } = read.value
  if (!payload || locked.value || !ask.mayGo()) return
  const { correcting } = form.value
  if (correcting && !reason) {
    asking.value = true
    return
  }
  if (
    !job.log({ kind: 'flange-moved', payload }, correcting && reason ? { entry: correcting, reason } : null)
  )
    return
  clear()
  if (!correcting) goOn()
}
const unit = computed(() => UNIT_NAMES[session.units].displacement)
const board = useTemplateRef<HTMLElement>('board')
/** Enter goes to the next empty box, and logs behind the last. */
const enter = () => {
  const all = [...(board.value?.querySelectorAll<HTMLInputElement>('input') ?? [])]
  const at = all.findIndex((b) => b === document.activeElement)
  const next = all[at + 1]
  if (next) next.focus()
  else log()
}
const box = (group: 'in' | 'out', id: string) => ({
  modelValue: form.value[group][id] ?? '',
  measure: 'displacement' as const,
  units: session.units,
  list: true,
  onDye: true,
  hideLabel: true,
  disabled: locked.value,
  note: read.value.faults[`${group}.${id}`] ?? '',
  noteIsFault: true,
  'onUpdate:modelValue': (text: string) => {
    form.value[group][id] = text
  },
  onEnter: enter,
})
const planeBox = (group: 'pushed' | 'toGo', plane: 'v' | 'h') => ({
  modelValue: form.value[group][plane],
  measure: 'displacement' as const,
  units: session.units,
  signed: true,
  onDye: true,
  disabled: locked.value,
  note: read.value.faults[`${group}.${plane}`] ?? '',
  noteIsFault: true,
  'onUpdate:modelValue': (text: string) => {
    form.value[group][plane] = text
  },
  onEnter: () => (group === 'toGo' ? logCount() : log()),
})
</script>

<template>
  <BoardFrame :title="w.view.move" :note="step === 'shims' ? w.view.moveNote : w.view.fromAbove">
    <template #tools>
      <ChoiceRow
        v-if="loose || step === 'push'"
        v-model="step"
        :label="w.view.move"
        on-dye
        :options="steps"
      />
      <el-button v-if="plan" class="dye-button" :disabled="locked" @click="asPlanned()">{{
        m.asPlanned
      }}</el-button>
    </template>
    <div class="work">
      <div class="clock">
        <FlangeClock :drawing="drawing" :units="session.units" brass />
      </div>
      <div v-if="step === 'shims'" ref="board" class="bolts">
        <p class="head">
          <span>{{ w.report.bolt }}</span>
          <span>{{ m.lies }}</span>
          <span>{{ w.report.out }}</span>
          <span>{{ w.report.added }}</span>
        </p>
        <div v-for="row in rows" :key="row.id" class="bolt" :class="{ planned: row.planned }">
          <b>{{ row.clock }}</b>
          <span class="lies">{{ row.lies }}</span>
          <NumberBox v-bind="box('out', row.id)" :label="m.takenOut(row.clock)" />
          <NumberBox v-bind="box('in', row.id)" :label="m.putIn(row.clock)" />
        </div>
      </div>
      <div v-else class="push">
        <p v-if="state.push" class="wanted">{{ pushWords(state.push.toGo, telling) || m.arrived }}</p>
        <div v-if="counting" class="pair">
          <NumberBox v-bind="planeBox('toGo', 'v')" :label="m.toGo.v" big />
          <NumberBox v-bind="planeBox('toGo', 'h')" :label="m.toGo.h" big />
        </div>
        <p class="dim">{{ m.dials }}</p>
        <div class="pair">
          <NumberBox v-bind="planeBox('pushed', 'v')" :label="m.pushed12" />
          <NumberBox v-bind="planeBox('pushed', 'h')" :label="m.pushed3" />
        </div>
      </div>
    </div>
    <StarTighten :state="state" :locked="locked" />
    <label class="remark"
      ><span>{{ actions.remark }}</span>
      <el-input v-model="form.remark" :aria-label="actions.remark" maxlength="2000" :disabled="locked" />
    </label>
  </BoardFrame>
  <LedgerFrame :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <p v-for="line in picks" :key="line" class="pick">{{ line }}</p>
    <p v-for="(u, i) in drafted?.unknownShims ?? []" :key="i">
      {{
        m.unknownShim(
          `${thickness(u.thickness, session.units)} ${unit}`,
          boltClock(state.shape.bolts, u.bolt),
        )
      }}
    </p>
    <JudgementTable
      v-if="state.latest.judgement && after"
      :judgement="state.latest.judgement"
      :after="after"
      :source="source"
      :line="state.latest.coupling"
    />
    <el-button
      v-if="last && !locked && !form.correcting"
      link
      class="text-button"
      @click="correct(last.entry)"
      >{{ m.correct }}</el-button
    >
    <el-button v-if="form.correcting" link class="text-button" @click="clear()">{{
      actions.leaveAsItWas
    }}</el-button>
    <p class="caution">{{ w.lift.bolts }}</p>
    <p class="caution">{{ w.lift.before }}</p>
    <ol class="order">
      <li v-for="rule in [...m.order, pushingWords(telling.words).tighten.caution]" :key="rule">
        {{ rule }}
      </li>
    </ol>
    <WhyDialog
      v-model="asking"
      :title="m.correct"
      :question="actions.whatWasWrong"
      :action="actions.logCorrection"
      @say="log($event)"
    />
    <template #next>
      <el-button v-if="waiting" class="next-button" @click="goOn()">{{
        movesWords(telling.words).view.goMeasure
      }}</el-button>
      <el-button
        v-else-if="counting && typedCount"
        class="next-button"
        :disabled="!read.toGo"
        @click="logCount"
        >{{ when === 'tightened' ? m.tightened : m.count }}</el-button
      >
      <el-button v-else class="next-button" :disabled="!read.payload || locked" @click="log()">
        {{ form.correcting ? actions.logCorrection : step === 'push' ? m.logPush : m.log }}
      </el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(320px, 1fr);
  gap: 18px;
  flex: 1;
  min-height: 380px;
}
.clock {
  min-height: 0;
}
.bolts {
  overflow: auto;
  align-self: start;
  max-height: 100%;
  padding: 2px;
}
.head,
.bolt {
  display: grid;
  grid-template-columns: 64px 66px minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
  align-items: center;
  margin: 0 0 5px;
}
.head {
  font-size: 13px;
  color: var(--scribe-dim);
}
.bolt b {
  font-family: var(--figures);
  font-weight: 400;
  font-size: 18px;
  color: #fff;
}
.bolt.planned b {
  color: var(--brass-on-dye);
}
.lies {
  font-family: var(--figures);
  color: var(--scribe);
}
.push {
  display: grid;
  gap: 14px;
  align-content: start;
}
.wanted {
  margin: 0;
  font-family: var(--figures);
  font-size: 30px;
  color: var(--brass-on-dye);
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.dim {
  margin: 0;
  color: var(--scribe-dim);
}
.remark span {
  display: block;
  margin: 8px 0 4px;
  font-size: 14px;
}
.pick {
  font-family: var(--figures);
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.order {
  margin: 10px 0 0;
  padding-left: 20px;
  font-size: 14px;
}
@media (max-width: 760px) {
  .work {
    grid-template-columns: 1fr;
  }
}
</style>
