<script setup lang="ts">
import type { DriveReview } from '~~/core/practice/drive/driveReview'

/** How the grooves really lay at a moment beside what the gaps told, or how they lie at the end. */
const props = defineProps<{ review: DriveReview; at?: number }>()
const practice = usePractice()
const moment = computed(() => (props.at === undefined ? null : (props.review.moments[props.at] ?? null)))
const names = computed(() => ({
  motor: practice.record!.machine.movableName,
  driven: practice.record!.machine.stationaryName,
}))
</script>

<template>
  <OverlaidSheaves
    :truth="(moment?.truth ?? review.truth).line"
    :told="moment?.told ?? null"
    :radius="practice.drive?.bench.geometry.radius.motor ?? 90"
    :names="names"
  />
  <DriveLayTable :truth="moment?.truth ?? review.truth" :told="moment?.told ?? null" />
</template>
