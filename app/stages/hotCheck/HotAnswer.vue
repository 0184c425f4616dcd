<script setup lang="ts">
import { lineWords } from '~~/shared/wording/directions'
import { farEnd } from '~~/shared/wording/telling'
import { actionsWords, hotAnsweredWords, hotWords } from '~~/shared/wording/en'
import { keepingNeedsWhy } from '~~/core/stages/hotCheck/stage'
import { tryTarget } from '~~/core/stages/target/target'
import TemperatureBoxes from './TemperatureBoxes.vue'
import type { NamedLine } from '~~/shared/drawing/lineBundle'
import { keptTarget, newTarget } from '~~/shared/stages/hotCheck/answer'
import { hotWorking } from '~~/shared/stages/hotCheck/working'
import { limitSource } from '~~/shared/wording/tolerances'

/** Cold, hot and planned over one another, and which target is taken from it. */
const emit = defineEmits<{ again: []; run: [] }>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const goOn = inject(goOnKey, () => {})
const hotForm = useHotForm()
const { read, drawn, sinceStop, state, meaning, degrees, nameOf, still } = hotForm
const { ask, log: logTemperatures } = useLogTemperatures(hotForm)

const w = computed(() => hotWords(telling.value.words))
const v = computed(() => w.value.view)
const hot = computed(() => state.value.hot)
const answered = computed(() => hot.value.run.answered)
const open = computed(() => state.value.closing === null && answered.value === null)
const far = computed(() => farEnd(state.value.feet.movable, telling.value))
const lines = computed((): readonly NamedLine[] => {
  const { cold, planned } = hot.value
  const said = answered.value?.payload
  const target = said ? (said.take === 'new' ? tryTarget(said.target).line : null) : hot.value.target
  const n = { ...v.value.lines, ...hotAnsweredWords(telling.value.words).lines }
  return [
    ...(cold ? [{ look: 'before' as const, name: n.cold, line: cold }] : []),
    ...(planned && open.value ? [{ look: 'before' as const, name: n.planned, line: planned }] : []),
    ...(hot.value.hot ? [{ look: 'now' as const, name: n.hot, line: hot.value.hot }] : []),
    ...(target ? [{ look: 'aim' as const, name: n.target, line: target }] : []),
  ]
})
const feet = computed(() => state.value.setUp?.feet ?? state.value.feet.movable)
const newWords = computed(() =>
  hot.value.target ? lineWords(hot.value.target, far.value, telling.value) : '',
)
const { draft } = useDraft('hot-answer', () => ({ pick: '' as 'new' | 'old' | '', why: '' }))
const chosen = computed(() => draft.value.pick || (hot.value.target ? 'new' : 'old'))
const whyAsked = computed(() => chosen.value === 'old' && keepingNeedsWhy(hot.value))
const source = computed(() => limitSource(state.value, telling.value))
const answer = () => {
  const learned = { job: job.id, on: new Date().toISOString() }
  const fresh = newTarget(hot.value, state.value.coldTarget, learned, session.units)
  const target =
    chosen.value === 'new' && fresh ? fresh : keptTarget(state.value.coldTarget, learned, session.units)
  const take = chosen.value === 'new' && fresh ? 'new' : 'old'
  if (
    job.log({
      kind: 'hot-answered',
      payload: { take, target, why: take === 'old' ? draft.value.why.trim() : '' },
    })
  )
    goOn()
}
const working = () => hotWorking(hot.value, telling.value)
</script>

<template>
  <BoardFrame :title="v.result">
    <WarmingBoard
      v-if="hot.warming.length"
      :drawn="drawn"
      :degrees="degrees"
      :name-of="nameOf"
      :still="still"
      :since-stop="sinceStop"
    />
    <template v-if="open">
      <TemperatureBoxes :hot="hotForm" @log="logTemperatures" />
      <el-button class="dye-button log" :disabled="!read.payload" @click="logTemperatures">{{
        v.log
      }}</el-button>
    </template>
    <LineBundle v-if="lines.length" :lines="lines" :feet="feet" :tolerance="state.tolerance" />
  </BoardFrame>
  <LedgerFrame desk-work :mark="meaning.mark" :headline="meaning.headline" :detail="meaning.detail">
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <template v-if="open">
      <h3>{{ v.what }}</h3>
      <el-radio-group
        class="choices"
        :model-value="chosen"
        :aria-label="v.what"
        @update:model-value="draft.pick = $event as 'new' | 'old'"
      >
        <el-radio v-if="hot.target" value="new" border>
          <strong>{{ v.take }}</strong><br /><span class="muted">{{ v.takeDetail(newWords) }}</span>
        </el-radio>
        <el-radio value="old" border>
          <strong>{{ v.keep }}</strong><br /><span class="muted">{{ v.keepDetail }}</span>
        </el-radio>
      </el-radio-group>
      <label v-if="whyAsked" class="why">
        <span>{{ v.whyKeep }}</span>
        <el-input v-model="draft.why" :aria-label="v.why" maxlength="400" />
      </label>
      <p class="muted">{{ v.stops }}</p>
    </template>
    <JudgementTable v-if="hot.judgement" :judgement="hot.judgement" :source="source" />
    <ShowWorking v-if="hot.hot" :steps="working" />
    <template #next>
      <template v-if="open">
        <el-button link class="text-button" @click="emit('again')">{{ v.again }}</el-button>
        <el-button class="next-button" :disabled="whyAsked && draft.why.trim() === ''" @click="answer">{{
          chosen === 'new' ? v.take : v.keepIt
        }}</el-button>
      </template>
      <el-button v-if="!open && state.closing === null" link class="text-button" @click="emit('run')">{{
        v.runAgain
      }}</el-button>
      <el-button v-if="!open" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.log {
  align-self: start;
  margin: 10px 0 14px;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
.choices {
  display: grid;
  gap: 10px;
  width: 100%;
}
.choices .el-radio {
  height: auto;
  margin: 0;
  padding: 10px 12px;
  white-space: normal;
  align-items: start;
}
.choices .el-radio :deep(.el-radio__label) {
  line-height: 1.35;
}
h3 {
  font-size: 16px;
}
.why span {
  display: block;
  margin-bottom: 5px;
}
</style>
