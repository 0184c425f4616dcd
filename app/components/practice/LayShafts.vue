<script setup lang="ts">
import { stateOf } from '~~/core/practice/stateOf'
import type { CoupledReview } from '~~/core/practice/review'
import type { CoupledMachine } from '~~/core/register/coupledMachine'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'

/** How the shafts really lay at a moment beside what the readings told, or how they lie at the end. */
const props = defineProps<{ review: CoupledReview; at?: number }>()
const practice = usePractice()
const w = practiceReviewWords(useWords()).review
const moment = computed(() => (props.at === undefined ? null : (props.review.moments[props.at] ?? null)))
const state = computed(() => stateOf(practice.record!.machine as CoupledMachine, practice.entries))
const feet = computed(() => practice.coupled?.bench.feet.movable ?? [])
</script>

<template>
  <OverlaidShafts
    :feet="feet"
    :tolerance="state.tolerance"
    :target="state.target"
    :found="moment?.told ?? null"
    :left="moment?.truth ?? review.truth"
    :name="w.truth"
    :found-name="w.readings"
  />
</template>
