<script setup lang="ts">
import { gearWords, secondScreenWords, sheetWords } from '~~/shared/wording/en'
import type { Job } from '~~/core/jobs/jobs'
import { keyOfPair } from '~~/core/plan/pairNames'
import type { PushWatch } from '~~/core/stages/move/push'
import type { MateSide, Press, Wanted } from '~~/shared/secondScreen/call'
import { commandFor, dialSays, pushOf, readingSays, thereAt } from '~~/shared/secondScreen/command'
import { clockName, hourOf, towardWords } from '~~/shared/wording/directions'
import { figure, UNIT_NAMES } from '~~/shared/wording/figures'
import { endOf, leverName } from '~~/shared/wording/gearContact'
import { capital } from '~~/shared/wording/capital'
import { pairName } from '~~/shared/wording/telling'
import ClockFace from './ClockFace.vue'
import MateAnswer from './MateAnswer.vue'
import MateButton from './MateButton.vue'
import MatePress from './MatePress.vue'

const LiveWatch = defineAsyncComponent(() => import('~/components/instruments/LiveWatch.vue'))

/** One command, one count, one button. */
const props = defineProps<{ own: string; side: MateSide; job: Job }>()
const emit = defineEmits<{ round: [] }>()
const session = useSession()
const store = useJob()
const telling = useTelling()
const w = computed(() => secondScreenWords(telling.value.words))
const wanted = ref<Wanted | null>(null)
const press = ref<Press | null>(null)
watch(
  () => store.called,
  (said) => {
    if (said?.says === 'wants') wanted.value = said.wants
    if (said?.says === 'presses') press.value = said.press
  },
  { immediate: true },
)
/** The push as instruments show it. */
const live = shallowRef<PushWatch | null>(null)
const watching = useTemplateRef<{ take: () => void }>('watching')
const command = computed(() => commandFor(props.job, wanted.value, props.side, press.value, live.value))
const push = computed(() =>
  command.value.does === 'push' || command.value.does === 'slacken' ? command.value : null,
)
const turn = computed(() => (command.value.does === 'turn' ? command.value.wanted : null))
/** Where the shaft was said to stand: then its dials are read. */
const stands = ref<number | null>(null)
const typing = ref(false)
const value = ref('')
const note = ref('')
watch(
  () => [turn.value?.clock, push.value?.end.id, live.value ? null : push.value?.end.toGo],
  () => {
    typing.value = false
    value.value = ''
  },
)
const reading = computed(() => turn.value !== null && stands.value === turn.value.clock)
const d = (x: number) => figure(Math.abs(x), 'displacement', session.units)
const hours = computed(() => ({
  yours: props.side,
  far: props.side === '9' ? ('3' as const) : ('9' as const),
}))
const goes = computed(() => (push.value ? hourOf(push.value.bite.by, telling.value) : '9'))
const head = computed((): { say: string; how: string } => {
  const c = command.value
  switch (c.does) {
    case 'push':
      return { say: w.value.push, how: w.value.away }
    case 'slacken':
      return { say: w.value.slacken, how: w.value.toYou }
    case 'turn':
      return { say: w.value.turn, how: w.value.to(clockName(c.wanted.at, telling.value)) }
    case 'press':
      return { say: w.value.press.say[c.press.by], how: '' }
    case 'push-flange':
      return { say: w.value.push, how: towardWords(c.toGo, 'displacement', telling.value) }
    case 'turn-gears':
      return { say: w.value.turn, how: w.value.gears.turnHow }
    case 'shift-gears':
      return { say: w.value.gears.shift, how: gearShift.value?.how ?? '' }
    case 'hands-off':
      return { say: w.value.handsOff, how: w.value.handsOffWhy }
    case 'tighten':
      return { say: w.value.tighten, how: w.value.tightenHow }
    case 'closed':
      return { say: w.value.closed, how: w.value.closedWhy }
    default:
      return { say: w.value.wait, how: w.value.next(sheetWords(telling.value.words).stages[c.stage].next) }
  }
})
/** What a flange has still to go, as one size toward one hour. */
const flangeLeft = computed(() =>
  command.value.does === 'push-flange' ? d(Math.hypot(command.value.toGo.v, command.value.toGo.h)) : '',
)
/** What is shifted at a gearset, toward which end, and how far. */
const gearShift = computed(() => {
  const c = command.value
  if (c.does !== 'shift-gears' || props.job.kind !== 'gear') return null
  const { machine } = props.job.state
  return {
    how: w.value.gears.toward(leverName(c.lever, machine, telling.value), endOf(machine, c.by)),
    far: d(c.by),
  }
})
const shifted = () => {
  const c = command.value
  const far = Number(gearShift.value?.far)
  if (c.does !== 'shift-gears' || !(far > 0)) return
  store.log({
    kind: 'gear-shifted',
    payload: { units: session.units, lever: c.lever, by: c.by > 0 ? far : -far, words: '' },
  })
}
/** Both dials of a flange stand at zero. */
const bothThere = () =>
  store.log({
    kind: 'flange-counts-read',
    payload: { units: session.units, when: 'pushing', toGo: { v: 0, h: 0 } },
  })
const where = computed(() => (push.value ? capital(pairName(telling.value, push.value.end)) : ''))
const share = computed(() => push.value?.share ?? 0)
const target = computed(() => (push.value?.toward ? 96 : 8))
const mark = computed(() => (push.value?.toward ? 96 - 88 * share.value : 8 + 88 * share.value))

const dial = computed(() =>
  push.value ? dialSays(push.value, value.value, session.units, telling.value.words) : null,
)
const typed = computed(() => readingSays(value.value, session.units, telling.value.words))
const fault = computed(() => (dial.value ?? typed.value).fault)
const log = (payload: ReturnType<typeof thereAt> | null) => {
  if (payload && store.log({ kind: 'counts-read', payload })) {
    typing.value = false
    value.value = ''
  }
}
const there = async () => {
  if (push.value) {
    const shown = live.value?.ends.some((e) => keyOfPair(e) === keyOfPair(push.value!.end)) ?? false
    if (shown) watching.value?.take()
    return log(thereAt(push.value, session.units, shown))
  }
  const at = turn.value
  if (!at) return
  stands.value = at.clock
  await store.call({ says: 'there', from: props.own, circle: at.circle, clock: at.clock })
}
const send = async () => {
  if (push.value) return log(dial.value?.payload ?? null)
  const at = turn.value
  const text = typed.value.value
  if (!at || text === null) return
  const { circle, clock, dial: named } = at
  const through = await store.call({
    says: 'reads',
    from: props.own,
    circle,
    clock,
    units: session.units,
    value: text,
  })
  note.value = through ? w.value.sent(`${named} ${text}`) : w.value.kept
  if (through) value.value = ''
}
const tap = computed(() => (push.value || (turn.value && !reading.value) ? w.value.there : ''))
</script>

<template>
  <div class="command" :class="command.does">
    <LiveWatch v-if="store.links.length > 0" ref="watching" v-model="live" :push="pushOf(job)" />
    <p v-if="where" class="where">{{ where }}</p>
    <h1>{{ head.say }}</h1>
    <p v-if="head.how" class="how">{{ head.how }}</p>
    <MatePress v-if="command.does === 'press'" :press="command.press" :own="own" />
    <template v-else-if="push">
      <template v-if="!typing">
        <p class="hour">{{ w.farSide(hours.far) }}</p>
        <svg viewBox="0 0 350 104" aria-hidden="true">
          <rect x="0" y="8" width="350" height="88" fill="#15183F" />
          <path
            v-for="i in 7"
            :key="i"
            :d="`M0 ${8 + (i - 1) * 14.6}h14M336 ${8 + (i - 1) * 14.6}h14`"
            stroke="#A3AEE0"
          />
          <path :d="`M0 ${target}H350`" stroke="#58D3BE" stroke-width="5" />
          <path :d="`M0 ${mark}H350`" stroke="#E0B04A" stroke-width="10" />
        </svg>
        <p class="hour">{{ w.yourSide(hours.yours) }}</p>
      </template>
      <p class="count figure" :style="{ '--digits': d(push.left).length }">{{ d(push.left) }}</p>
      <p class="to">{{ push.left < 0 ? w.past(goes) : w.toGo(goes) }}</p>
      <p class="to">{{ w.stopAt(d(push.stopAt)) }}</p>
    </template>
    <template v-else-if="flangeLeft">
      <p class="count figure" :style="{ '--digits': flangeLeft.length }">{{ flangeLeft }}</p>
      <p class="to">{{ w.bothDials }}</p>
    </template>
    <template v-else-if="gearShift">
      <p class="count figure" :style="{ '--digits': gearShift.far.length }">{{ gearShift.far }}</p>
      <p class="to">{{ UNIT_NAMES[session.units].displacement }}</p>
    </template>
    <p v-else-if="command.does === 'turn-gears'" class="to">{{ gearWords(telling.words).caution }}</p>
    <template v-else-if="turn">
      <ClockFace :clock="turn.at" />
      <p class="to">{{ w.read(turn.dial) }} · {{ w.leftToRead(turn.left) }}</p>
      <p v-if="!reading" class="small">{{ w.caution }}</p>
    </template>
    <span v-if="command.does !== 'press'" class="gap" />
    <p v-if="note" role="status" class="small">{{ note }}</p>
    <p v-if="store.refusal" role="alert" class="small">{{ store.refusal }}</p>
    <MateAnswer
      v-if="reading || typing"
      v-model="value"
      :label="w.shows(turn ? turn.dial : where)"
      measure="displacement"
      :fault="fault"
      signed
      @send="send"
    />
    <MateButton v-else-if="tap" @hit="there">{{ tap }}</MateButton>
    <MateButton v-else-if="gearShift" @hit="shifted">{{ w.gears.shifted }}</MateButton>
    <MateButton v-else-if="flangeLeft" @hit="bothThere">{{ w.bothZero }}</MateButton>
    <div class="links">
      <el-button v-if="push && !typing" link class="text-button on-dye" @click="typing = true">{{
        w.typeIt
      }}</el-button>
      <el-button
        v-if="job.kind === 'coupled' || job.kind === 'drum'"
        link
        class="text-button on-dye"
        @click="emit('round')"
        >{{ w.otherSide }}</el-button
      >
    </div>
  </div>
</template>

<style scoped>
.command {
  flex: 1;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.where {
  margin-top: 6px;
  font-size: 20px;
}
h1 {
  font-size: min(22vw, 110px);
  line-height: 1;
  color: #dfe3ff;
  margin-top: 6px;
}
.how {
  font-size: min(10vw, 52px);
  line-height: 1.1;
  font-weight: 600;
  color: #dfe3ff;
}
.hands-off h1,
.hands-off .how {
  color: var(--out-on-dye);
}
.hour {
  text-align: center;
  font-size: 20px;
  margin: 6px 0;
}
svg {
  width: 100%;
  max-height: 22vh;
}
.count {
  /* As large as the width holds: a figure is about 0.55 of its height wide. */
  font-size: min(calc(146vw / var(--digits)), 27vh);
  line-height: 0.95;
  font-weight: 700;
  letter-spacing: -0.05em;
  text-align: center;
  color: #fff;
}
.to {
  text-align: center;
  font-size: min(6.4vw, 34px);
  line-height: 1.25;
  font-weight: 600;
}
.small {
  font-size: 17px;
  text-align: center;
}
.gap {
  flex: 1;
  min-height: 10px;
}
/* A phone laid on its side: what is said in words stands beside the count. */
@media (orientation: landscape) and (max-height: 500px) {
  h1 {
    font-size: 44px;
  }
  .how {
    font-size: 26px;
  }
  .hour,
  svg {
    display: none;
  }
}
.links {
  display: flex;
  justify-content: space-between;
}
.on-dye {
  color: var(--scribe);
}
</style>
