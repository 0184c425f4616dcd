<script setup lang="ts">
import type { Review } from '~~/core/practice/reviews'
import { misalignmentWords } from '~~/shared/wording/directions'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'

/** How the machine really lies at the end of a try, in words or figures. */
defineProps<{ review: Review }>()
const telling = useTelling()
const w = computed(() => practiceReviewWords(telling.value.words).review)
</script>

<template>
  <template v-if="review.kind === 'coupled'">
    <p>{{ misalignmentWords(review.truth, false, telling) }}</p>
    <p class="muted">{{ w.endedTruth }}</p>
  </template>
  <template v-else>
    <DriveLayTable :truth="review.truth" :told="null" />
    <p class="muted">{{ w.endedDrive }}</p>
  </template>
</template>
