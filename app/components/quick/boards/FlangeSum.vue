<script setup lang="ts">
import { flangeDrawing } from '~~/shared/drawing/flangeClock'
import { flangeFollows, type FlangeAnswered, type FlangeAsked } from '~~/shared/quick/flangeSum'
import { clockwardWords } from '~~/shared/wording/directions'
import { flangeWords } from '~~/shared/wording/en'

/** A flange that is shimmed, seen from above: what goes in at each bolt, and what stays without the tilt. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const telling = useTelling()
const { form } = useSumBoard()
const w = computed(() => flangeWords(telling.value.words))
const follows = computed(() =>
  props.result
    ? flangeFollows(form.input() as FlangeAsked, props.result as FlangeAnswered, session.units)
    : null,
)
const drawing = computed(() =>
  follows.value
    ? flangeDrawing(follows.value.bolts, follows.value.added, follows.value.coupling, {
        offset: follows.value.stays,
      })
    : null,
)
const stays = computed(() =>
  follows.value ? clockwardWords(follows.value.stays, 'displacement', telling.value) : '',
)
</script>

<template>
  <div v-if="drawing" class="flange-sum">
    <FlangeClock class="clock" :drawing="drawing" :units="session.units" brass />
    <p>{{ w.view.fromAbove }}</p>
    <p v-if="stays">{{ w.stays.name }}: {{ stays }}</p>
  </div>
</template>

<style scoped>
.flange-sum {
  max-width: 560px;
  color: var(--scribe);
}
.clock {
  height: min(440px, 90vw);
}
p {
  margin: 0;
}
</style>
