<script setup lang="ts">
import { readsHot } from '~~/core/stages/hotCheck/hotRun'
import { meaningOfHot } from '~~/shared/wording/hotCheck'
import { movableName } from '~~/shared/wording/machineNames'
import MeasureStage from '~/stages/measure/MeasureStage.vue'
import HotAnswer from './HotAnswer.vue'
import HotRun from './HotRun.vue'

/** Run until it is warm, measured behind the stop, and what is made of it. */
const job = useJob()
const state = computed(() => job.coupled!)
/** Another set is wanted though one says something already. */
const again = ref(false)
/** Another run is wanted, behind one that is over. */
const anew = ref(false)
watch(
  () => [state.value.hot.measurement.sets.length, state.value.hot.run.begun?.id],
  () => {
    again.value = false
    anew.value = false
  },
)
const telling = useTelling()
const now = useNow({ interval: 15_000 })
const meaning = computed(() =>
  meaningOfHot(job.liveCoupled ?? state.value, movableName(state.value), telling.value, now.value.getTime()),
)
const shows = computed(() => {
  const { hot, closing } = state.value
  if (anew.value || hot.run.movedSince) return 'run'
  if (hot.run.answered || (hot.hot && hot.run.ended && !again.value)) return 'answer'
  if (readsHot(hot.run) && state.value.setUp && closing === null) return 'measure'
  return 'run'
})
</script>

<template>
  <MeasureStage v-if="shows === 'measure'" stage="hot-check" :before="meaning" />
  <HotAnswer v-else-if="shows === 'answer'" @again="again = true" @run="anew = true" />
  <HotRun v-else :anew="anew || state.hot.run.movedSince" />
</template>
