<script setup lang="ts">
import { lineWords, goWords } from '~~/shared/wording/directions'
import { farEnd } from '~~/shared/wording/telling'
import { actionsWords, hotWords, provisionalWords } from '~~/shared/wording/en'
import dayjs from 'dayjs'
import { timeWords } from '~~/shared/wording/days'
import { isUnderWay, readsHot } from '~~/core/stages/hotCheck/hotRun'
import TemperatureBoxes from './TemperatureBoxes.vue'
import { leftBefore } from '~~/shared/stages/hotCheck/answer'
import { clockTime } from '~~/shared/stages/hotCheck/form'

/** Switched on, temperatures at the feet until they stand still, stopped. */
const props = defineProps<{
  /** The run before this one is over. */
  anew: boolean
}>()
const job = useJob()
const session = useSession()
const telling = useTelling()
const openStage = inject(openStageKey, () => {})
const goOn = inject(goOnKey, () => {})
const hotForm = useHotForm()
const { read, drawn, sinceStop, now, state, meaning, degrees, nameOf, still } = hotForm

const w = computed(() => hotWords(telling.value.words))
const v = computed(() => w.value.view)
const run = computed(() => state.value.hot.run)
const closed = computed(() => state.value.closing !== null)
/** Nothing runs yet. */
const fresh = computed(() => props.anew || !run.value.begun)
const running = computed(() => !fresh.value && isUnderWay(run.value) && !run.value.ended)
const far = computed(() => farEnd(state.value.feet.movable, telling.value))
/** When it was switched on or stopped: empty is now. */
const { draft: moments } = useDraft('hot-moments', () => ({ at: '' }))
const moment = computed(() => clockTime(moments.value.at, now.value.getTime()))
const left = computed(() =>
  state.value.asLeft?.coupling || !job.left ? null : leftBefore(job.left, session.units),
)
const leftWords = computed(() =>
  left.value && job.left
    ? v.value.left(
        dayjs(job.left.closedAt).format('D MMM YYYY'),
        lineWords(job.left.coupling, far.value, telling.value),
      )
    : '',
)
const { ask, log: logTemperatures } = useLogTemperatures(hotForm)
const begin = () => {
  if (moment.value === null) return
  if (job.log({ kind: 'hot-run-begun', payload: { at: moment.value, left: left.value } }))
    moments.value.at = ''
}
const stop = () => {
  if (moment.value === null) return
  if (job.log({ kind: 'hot-run-ended', payload: { at: moment.value } })) {
    moments.value.at = ''
    openStage('make-safe')
  }
}
const offered = computed(() => !read.value.blank || (running.value && state.value.hot.settledSince === null))
</script>

<template>
  <BoardFrame :title="v.temperatures">
    <WarmingBoard
      :drawn="drawn"
      :degrees="degrees"
      :name-of="nameOf"
      :still="still"
      :since-stop="sinceStop"
    />
    <TemperatureBoxes v-if="!closed" :hot="hotForm" @log="logTemperatures" />
    <p v-if="state.expected" class="note">
      {{ provisionalWords(telling.words).expected(goWords(state.expected, far, telling)) }}
    </p>
    <p v-if="leftWords" class="note">{{ leftWords }}</p>
  </BoardFrame>
  <LedgerFrame
    :own="fresh || !readsHot(run)"
    :mark="meaning.mark"
    :headline="meaning.headline"
    :detail="meaning.detail"
  >
    <p v-for="q in ask.shown.value" :key="q" class="question" role="alert">{{ q }}</p>
    <template v-if="!closed && (fresh || running)">
      <p class="muted">{{ running ? v.stopCaution : v.caution }}</p>
      <label class="at">
        <span>{{ running ? v.stopAt : v.beginAsk }}</span>
        <el-input v-model="moments.at" :placeholder="timeWords(now)" maxlength="5" />
        <span v-if="moment === null" class="fault" role="alert">{{ w.form.time }}</span>
      </label>
    </template>
    <template #next>
      <el-button v-if="closed" class="next-button" @click="goOn()">{{
        actionsWords(telling.words).goOn
      }}</el-button>
      <template v-else>
        <el-button
          v-if="fresh && !run.begun && read.payload"
          link
          class="text-button"
          @click="logTemperatures"
          >{{ v.log }}</el-button
        >
        <el-button
          v-if="running && offered"
          link
          class="text-button"
          :disabled="moment === null"
          @click="stop"
          >{{ v.stop }}</el-button
        >
        <el-button v-if="fresh" class="next-button" :disabled="moment === null" @click="begin">{{
          v.begin
        }}</el-button>
        <el-button
          v-else-if="running && offered"
          class="next-button"
          :disabled="!read.payload"
          @click="logTemperatures"
          >{{ v.log }}</el-button
        >
        <el-button v-else-if="running" class="next-button" :disabled="moment === null" @click="stop">{{
          v.stop
        }}</el-button>
        <template v-else>
          <el-button v-if="read.payload" link class="text-button" @click="logTemperatures">{{
            v.log
          }}</el-button>
          <el-button class="next-button" @click="openStage('set-up')">{{ v.measure }}</el-button>
        </template>
      </template>
    </template>
  </LedgerFrame>
</template>

<style scoped>
.at > span:first-child {
  display: block;
  font-size: 14px;
  margin-bottom: 5px;
}
.fault {
  font-size: 14px;
  color: var(--out);
}
.note {
  color: var(--scribe-dim);
  margin-top: 10px;
}
.question {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
</style>
