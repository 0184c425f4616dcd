<script setup lang="ts">
import {
  actionsWords,
  measuringWords,
  proveWords,
  safetyWords,
  sheetWords,
  proofStepsWords,
} from '~~/shared/wording/en'
import { feelerLimits } from '~~/core/register/hubs'
import type { ProofStep } from '~~/core/stages/prove/checkProof'
import type { ProofPoint } from '~~/core/stages/prove/entries'
import MeasureStage from '~/stages/measure/MeasureStage.vue'
import { blankProof, nameProofUnits, readGap, type ProofTexts } from '~~/shared/stages/prove/form'
import { strainWorking } from '~~/shared/stages/prove/working'
import { gapWindow, meaningOfProof, openedWords } from '~~/shared/wording/prove'
import ProofSteps from './ProofSteps.vue'
import StrainPanel from './StrainPanel.vue'

/** What is seen, made up, read once more and tightened before the guard goes on. */
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const w = computed(() => proveWords(telling.value.words))
const v = computed(() => w.value.view)
const state = computed(() => job.measured!)
const proof = computed(() => state.value.proof)
const closed = computed(() => state.value.closing !== null)
const meaning = computed(() => meaningOfProof(state.value, telling.value))
const next = computed(() => (closed.value ? null : proof.value.next))
const stands = (step: ProofStep) => proof.value.rows.find((r) => r.step === step)?.stands
const { draft: form } = useDraft<ProofTexts>('prove', () => blankProof(session.units))
useUnitsOfDraft(form, nameProofUnits)
const gap = computed(() => readGap(form.value, session.units, telling.value.words))
const wantedGap = computed(() => gapWindow(feelerLimits(state.value.machine).gap, telling.value))

/** Readings are being typed, with the coupling made up. */
const reading = ref(false)
const shown = ref<'steps' | 'strain'>('steps')
watch(
  () => proof.value.measurement.sets.length,
  (now, was) => {
    if (now <= was) return
    reading.value = false
    if (proof.value.strain) shown.value = 'strain'
  },
)
const views = computed(() => [
  { value: 'steps' as const, name: v.value.steps },
  { value: 'strain' as const, name: v.value.strain },
])
const showing = computed(() => (proof.value.strain ? shown.value : 'steps'))

const ledger = useTemplateRef<{ focusNext: () => void }>('ledger')
const logged = (entry: object | null) => {
  if (entry) void nextTick(() => ledger.value?.focusNext())
}
const confirm = (point: ProofPoint, how: 'done' | 'not-here' = 'done') => {
  shown.value = 'steps'
  logged(job.log({ kind: 'proof-confirmed', payload: { point, how, words: '' } }))
}
const bump = () => {
  if (job.log({ kind: 'bump-begun', payload: { by: form.value.by.trim() } })) form.value.by = ''
}
const saw = (seen: 'right' | 'wrong' | 'not-needed') =>
  logged(job.log({ kind: 'rotation-seen', payload: { seen, words: '' } }))
const makeUp = () => {
  const { payload } = gap.value
  const entry = payload && job.log({ kind: 'coupling-made-up', payload })
  if (entry) form.value.gap = ''
  logged(entry)
}
const opening = ref(false)
/** Steps that some machines do without. */
const MAY_LACK: readonly ProofStep[] = ['greased', 'heaters', 'set-screws']
const working = () => (proof.value.strain ? strainWorking(proof.value.strain, telling.value) : [])
</script>

<template>
  <MeasureStage v-if="reading && proof.facts.madeUp && !closed" stage="prove" @back="reading = false" />
  <template v-else>
    <BoardFrame
      :title="sheetWords(telling.words).stages.prove.name"
      :note="showing === 'steps' ? v.note : ''"
    >
      <template v-if="proof.strain" #tools>
        <ChoiceRow v-model="shown" :label="v.which" on-dye :options="views" />
      </template>
      <StrainPanel v-if="showing === 'strain' && proof.strain" :strain="proof.strain" :state="state" />
      <ProofSteps v-else :state="state" :next="next" :closed="closed" @confirm="confirm" />
    </BoardFrame>
    <LedgerFrame
      ref="ledger"
      :own="proof.bumping"
      :mark="meaning.mark"
      :headline="meaning.headline"
      :detail="meaning.detail"
    >
      <template v-if="next === 'rotation' && !proof.bumping">
        <ul class="cautions">
          <li v-for="c in v.cautions" :key="c">{{ c }}</li>
        </ul>
        <p class="muted">{{ v.deferring }}</p>
        <label class="by">
          <span>{{ v.bumpBy }}</span>
          <el-input v-model="form.by" :aria-label="v.bumpBy" maxlength="120" autocomplete="off" />
        </label>
      </template>
      <NumberBox
        v-else-if="next === 'made-up' && stands('made-up') === 'todo'"
        v-model="form.gap"
        :label="v.gap"
        measure="distance"
        :units="session.units"
        :note="gap.fault || (wantedGap ? v.window(wantedGap) : v.noWindow)"
        :note-is-fault="gap.fault !== ''"
        @enter="makeUp"
      />
      <p v-else-if="next === 'turns-freely'" class="muted">{{ safetyWords(telling.words).turning }}</p>
      <p v-else-if="next === 'read-coupled' && !state.setUp">
        {{ measuringWords(telling.words).setUpFirst }}
      </p>
      <p v-for="line in openedWords(state, telling)" :key="line" class="muted">{{ line }}</p>
      <TrustTable v-if="proof.measurement.sets.length" :measurement="proof.measurement" />
      <ShowWorking v-if="proof.strain" :steps="working" />
      <template #next>
        <template v-if="next === 'rotation' && proof.bumping">
          <el-button class="quiet-button" @click="saw('wrong')">{{ v.wrong }}</el-button>
          <el-button class="next-button" @click="saw('right')">{{ v.right }}</el-button>
        </template>
        <template v-else-if="next === 'rotation'">
          <el-button
            v-if="stands('rotation') === 'todo'"
            link
            class="text-button"
            @click="saw('not-needed')"
            >{{ v.notWired }}</el-button
          >
          <el-button class="next-button" @click="bump">{{ v.bump }}</el-button>
        </template>
        <el-button
          v-else-if="next === 'made-up' && stands('made-up') === 'wrong'"
          class="next-button"
          @click="opening = true"
          >{{ v.open }}</el-button
        >
        <el-button
          v-else-if="next === 'made-up'"
          class="next-button"
          :disabled="!gap.payload"
          @click="makeUp"
          >{{ proofStepsWords(telling.words)['made-up'].confirm }}</el-button
        >
        <template v-else-if="next === 'read-coupled'">
          <el-button v-if="proof.strain" link class="text-button" @click="reading = true">{{
            v.readAgain
          }}</el-button>
          <el-button v-else link class="text-button" @click="confirm('read-coupled', 'not-here')">{{
            v.leaveUnread
          }}</el-button>
          <el-button v-if="proof.strain" class="next-button" @click="opening = true">{{ v.open }}</el-button>
          <el-button v-else class="next-button" :disabled="!state.setUp" @click="reading = true">{{
            v.read
          }}</el-button>
        </template>
        <template v-else-if="next">
          <el-button
            v-if="MAY_LACK.includes(next)"
            link
            class="text-button"
            @click="confirm(next, 'not-here')"
            >{{ v.notHere }}</el-button
          >
          <el-button class="next-button" @click="confirm(next)">{{
            proofStepsWords(telling.words)[next].confirm
          }}</el-button>
        </template>
        <template v-else>
          <el-button v-if="proof.facts.madeUp && !closed" link class="text-button" @click="opening = true">{{
            v.open
          }}</el-button>
          <el-button class="next-button" @click="goOn()">{{ actionsWords(telling.words).goOn }}</el-button>
        </template>
      </template>
    </LedgerFrame>
    <WhyDialog
      v-model="opening"
      :title="v.openTitle"
      :question="v.openWhy"
      :action="v.openDo"
      @say="job.log({ kind: 'coupling-opened', payload: { why: $event } })"
    />
  </template>
</template>

<style scoped>
.cautions {
  padding-left: 20px;
}
.cautions li + li {
  margin-top: 6px;
}
.by span {
  display: block;
  margin-bottom: 5px;
}
</style>
