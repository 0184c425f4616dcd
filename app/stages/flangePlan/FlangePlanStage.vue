<script setup lang="ts">
import { actionsWords, flangeWords } from '~~/shared/wording/en'
import type { FlangeSchool } from '~~/core/flange/flangeShims'
import { lineSum } from '~~/core/frame/planes'
import { judge } from '~~/core/judge/judge'
import { isBelieved } from '~~/core/stages/measure/measurement'
import { schoolPlans } from '~~/core/stages/flangePlan/plans'
import { flangeDrawing } from '~~/shared/drawing/flangeClock'
import { changesOfPacks, pushIn } from '~~/shared/stages/flangePlan/changes'
import { figure } from '~~/shared/wording/figures'
import {
  meaningOfFlangePlan,
  pickWords,
  pushWords,
  staysSentence,
  staysWords,
} from '~~/shared/wording/flange'
import { limitSource } from '~~/shared/wording/tolerances'
import { ahead } from '../ahead'
import FlangeStands from './FlangeStands.vue'
import SchoolCard from './SchoolCard.vue'

const loadWorking = ahead(() => import('~~/shared/stages/flangePlan/working'))

/** Shims that take the tilt out by either school, what they leave, and the push that a loose spigot allows. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => flangeWords(telling.value.words))
const actions = computed(() => actionsWords(telling.value.words))
const state = computed(() => job.flange!)
const closed = computed(() => state.value.closing !== null)
const { draft, clear } = useDraft<{ school: FlangeSchool | '' }>('flange-plan', () => ({ school: '' }))

const plans = computed(() => {
  const { machine, latest, shape, leaves, tolerance, target } = state.value
  return schoolPlans(machine, latest, shape, leaves, tolerance, target)
})
const shims = computed(() => state.value.need.asks === 'shim')
const school = computed(() => draft.value.school || state.value.machine.flange.school)
const picked = computed(
  () =>
    plans.value.find((p) => p.school === school.value && p.packs) ??
    plans.value.find((p) => p.packs !== null) ??
    null,
)
const found = computed(() => state.value.latest.coupling)
const push = computed(() => (state.value.need.asks === 'push' ? state.value.need.push : null))
const predicted = computed(() => {
  if (shims.value) return picked.value?.predicted ?? null
  return found.value && push.value
    ? lineSum(found.value, { offset: push.value, slope: { v: 0, h: 0 } })
    : null
})
const after = computed(() =>
  predicted.value ? judge(predicted.value, state.value.tolerance, state.value.target) : null,
)
const meaning = computed(() =>
  meaningOfFlangePlan(state.value, picked.value?.packs?.opened ?? 0, telling.value),
)
const source = computed(() => limitSource(state.value, telling.value))
const changes = computed(() =>
  shims.value && picked.value?.packs ? changesOfPacks(picked.value.packs, session.units) : [],
)
const limits = useFlangeLimits(() => state.value)
const drawing = computed(() => {
  const packs = picked.value?.packs?.packs ?? []
  return flangeDrawing(
    state.value.shape.bolts,
    packs.map((p) => p.added),
    found.value,
    {
      leaves: packs.map((p) => p.putIn),
      limit: limits.value.offset,
      offset: state.value.need.stays.at,
    },
  )
})
const tiltOf = (line: typeof found.value) => Math.hypot(line?.slope.v ?? 0, line?.slope.h ?? 0)
const staysInside = computed(() => state.value.need.stays.judgement?.verdict !== 'out')
const hubFigure = computed(() =>
  state.value.need.stays.size === null
    ? ''
    : figure(state.value.need.stays.size, 'displacement', session.units),
)
const notAgreed = computed(() => !isBelieved(state.value.latest) && found.value !== null)
const rocks = computed(() => shims.value && picked.value?.rock?.verdict === 'out')
const asking = ref(false)
const take = (why = '') => {
  if (closed.value) return
  const sets = [...state.value.latest.used]
  const own = push.value
    ? { does: 'push' as const, changes: [], push: pushIn(push.value, session.units) }
    : picked.value
      ? { does: picked.value.school, changes: changes.value, push: null }
      : null
  if (!own) return
  if (rocks.value && why === '') {
    asking.value = true
    return
  }
  if (!job.log({ kind: 'flange-plan-chosen', payload: { units: session.units, ...own, why, sets } })) return
  clear()
  goOn()
}
const skipping = ref(false)
const skip = (why: string) => {
  if (job.log({ kind: 'stage-skipped', payload: { stage: 'plan', why } })) goOn()
}
const canTake = computed(
  () => !closed.value && ((shims.value && changes.value.length > 0) || push.value !== null),
)
const working = async () =>
  found.value
    ? (await loadWorking()).flangeWorking(
        found.value,
        state.value.shape,
        shims.value ? (picked.value?.packs ?? null) : null,
        telling.value,
      )
    : []
</script>

<template>
  <BoardFrame
    :title="
      push
        ? w.view.planPush
        : picked && shims
          ? `${w.view.plan}, ${w.school[picked.school].toLowerCase()}`
          : w.view.plan
    "
    :note="w.view.fromAbove"
  >
    <template v-if="found && shims">
      <div class="views">
        <div class="clock">
          <FlangeClock
            :drawing="drawing"
            :units="session.units"
            brass
            :inside="staysInside"
            :hub="hubFigure"
          />
          <p class="under">
            <span v-if="staysWords(state.need, telling)"
              ><VerdictMark :mark="state.need.stays.judgement?.verdict ?? 'unknown'" on-dye />
              {{ w.stays.name }}: {{ staysWords(state.need, telling) }}</span
            >
            <span class="dim">{{ w.view.tops }}</span>
          </p>
        </div>
        <FlangeSide
          :tilt="tiltOf(found)"
          :after="predicted ? tiltOf(predicted) : null"
          :limit="limits.tilt"
          :toward="drawing.lean?.toward ?? 0"
          :units="session.units"
          :stationary-name="job.machine?.stationaryName ?? ''"
        />
      </div>
      <el-radio-group
        :model-value="picked?.school ?? ''"
        class="schools"
        :aria-label="w.view.schools"
        :disabled="closed"
        @update:model-value="draft.school = $event as FlangeSchool"
      >
        <el-radio v-for="p in plans" :key="p.school" :value="p.school" :disabled="!p.packs">
          <SchoolCard :plan="p" :bolts="state.shape.bolts" :picked="picked?.school === p.school" />
        </el-radio>
      </el-radio-group>
    </template>
    <FlangeStands v-else-if="found" :state="state" :coupling="found" />
    <p v-else class="dim">{{ w.view.none }}</p>
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <JudgementTable
      v-if="state.latest.judgement"
      :judgement="state.latest.judgement"
      :after="after"
      :source="source"
      :line="found"
    />
    <p v-if="notAgreed" class="muted">{{ w.headlines.measure }}</p>
    <div v-if="found && shims">
      <h3>
        {{ staysWords(state.need, telling) ? w.stays.title(hubFigure) : w.stays.none }}
      </h3>
      <p>{{ staysSentence(state.need, state.spigot, telling) }}</p>
    </div>
    <div v-if="changes.length > 0">
      <h3>{{ w.pick.title }}</h3>
      <p>{{ pickWords(changes, state.shape.bolts, session.units, telling).join('; ') }}</p>
      <p v-if="picked?.packs && picked.packs.lift > 0.0005" class="muted">
        {{ w.counts.lifted(figure(picked.packs.lift, 'displacement', session.units, { unit: true })) }}
      </p>
    </div>
    <p v-if="push" class="push">{{ pushWords(push, telling) }}</p>
    <p v-if="canTake && shims" class="caution">{{ w.lift.before }}</p>
    <p v-if="push" class="muted">{{ w.move.dials }}</p>
    <ShowWorking v-if="found" :steps="working" />
    <WhyDialog
      v-model="asking"
      :title="
        w.headlines.rocks(figure(picked?.rock?.value ?? 0, 'displacement', session.units, { unit: true }))
      "
      :question="w.view.whyRocks"
      :action="actions.logIt"
      @say="take"
    />
    <WhyDialog
      v-model="skipping"
      :title="w.view.overrule"
      :question="w.view.whySkip"
      :action="actions.passOver"
      @say="skip"
    />
    <template #next>
      <el-button v-if="canTake" link class="text-button" @click="skipping = true">{{
        w.view.overrule
      }}</el-button>
      <el-button v-if="canTake" class="next-button" @click="take()">{{
        push ? w.view.takePush : w.view.take
      }}</el-button>
      <el-button v-else class="next-button" @click="goOn()">{{ actions.goOn }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.views {
  display: grid;
  grid-template-columns: minmax(0, 2.1fr) minmax(0, 1fr);
  gap: 18px;
  flex: 1;
  min-height: 380px;
}
.clock {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.clock > svg {
  flex: 1;
}
.under {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  margin: 0;
  font-size: 14px;
  color: #fff;
}
.dim {
  color: var(--scribe-dim);
}
.schools {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  margin-top: 8px;
}
.schools :deep(.el-radio) {
  margin: 0;
  height: auto;
  align-items: stretch;
  white-space: normal;
}
.schools :deep(.el-radio__input) {
  position: absolute;
  opacity: 0;
}
.schools :deep(.el-radio__label) {
  width: 100%;
  padding: 0;
}
.schools :deep(.el-radio:focus-within .card) {
  outline: 3px solid var(--brass-on-dye);
  outline-offset: 2px;
}
.push {
  font-size: 20px;
  font-family: var(--figures);
}
h3 {
  font-size: 16px;
  margin-bottom: 2px;
}
@media (max-width: 640px) {
  .views,
  .schools {
    grid-template-columns: 1fr;
  }
}
</style>
