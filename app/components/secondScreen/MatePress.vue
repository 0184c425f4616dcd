<script setup lang="ts">
import type { Press } from '~~/shared/secondScreen/call'
import { beltSays } from '~~/shared/secondScreen/command'
import { BELT_BOX } from '~~/shared/stages/tension/boxes'
import { mateHeardWords, secondScreenWords } from '~~/shared/wording/en'
import MateAnswer from './MateAnswer.vue'
import MateButton from './MateButton.vue'

/** One belt at a time: press, hold while it counts, type what the gauge shows. */
const props = defineProps<{ press: Press; own: string }>()
const session = useSession()
const store = useJob()
const telling = useTelling()
const w = computed(() => secondScreenWords(telling.value.words))
const HOLD_SECONDS = 3
/** Seconds left to hold; null before the gauge is on the belt. */
const hold = ref<number | null>(null)
const value = ref('')
const note = ref('')
watch(
  () => [props.press.belt, props.press.by] as const,
  () => {
    hold.value = null
    value.value = ''
  },
)
const { pause, resume } = useIntervalFn(
  () => {
    if (hold.value !== null && hold.value > 0) hold.value--
    else pause()
  },
  1000,
  { immediate: false },
)
const answer = useTemplateRef<{ focus: () => void }>('answer')
/** A tap reads at once; a gauge is held until it has settled. */
const steady = computed(() => props.press.by !== 'frequency' && props.press.by !== 'marks')
const holding = () => {
  hold.value = steady.value ? HOLD_SECONDS : 0
  resume()
}
watch(hold, (left) => left === 0 && void nextTick(() => answer.value?.focus()))
const said = computed(() => beltSays(value.value, props.press.by, session.units, telling.value.words))
const name = computed(() => mateHeardWords(telling.value.words).belt(props.press.belt, props.press.of))
const send = async () => {
  const text = said.value.value
  if (text === null) return
  const { belt, by } = props.press
  const through = await store.call({
    says: 'pressed',
    from: props.own,
    belt,
    by,
    units: session.units,
    value: text,
  })
  note.value = through ? w.value.sent(`${name.value} ${text}`) : w.value.kept
  if (through) {
    value.value = ''
    hold.value = null
  }
}
</script>

<template>
  <p class="belt">{{ name }}</p>
  <p class="to">{{ w.press.to[press.by](press.to) }}</p>
  <p v-if="hold !== null && hold > 0" class="count figure" role="timer">{{ hold }}</p>
  <p v-else class="to">{{ w.press.left(press.left) }}</p>
  <p v-if="hold === null" class="small">{{ w.press.caution }}</p>
  <span class="gap" />
  <p v-if="note" role="status" class="small">{{ note }}</p>
  <MateAnswer
    v-if="hold === 0"
    ref="answer"
    v-model="value"
    :label="w.press.shows[press.by]"
    :measure="BELT_BOX[press.by]"
    :fault="said.fault"
    @send="send"
  />
  <MateButton v-else-if="hold === null" @hit="holding">{{ w.press.holding }}</MateButton>
  <p v-else class="to">{{ w.press.hold }}</p>
</template>

<style scoped>
.belt {
  font-size: min(10vw, 52px);
  font-weight: 600;
  color: #dfe3ff;
  line-height: 1.1;
}
.to {
  font-size: min(6.4vw, 34px);
  line-height: 1.25;
  font-weight: 600;
}
.count {
  font-size: min(60vw, 40vh);
  line-height: 0.95;
  font-weight: 700;
  text-align: center;
  color: #fff;
}
.small {
  font-size: 17px;
}
.gap {
  flex: 1;
  min-height: 10px;
}
</style>
