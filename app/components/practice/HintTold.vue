<script setup lang="ts">
import type { Review } from '~~/core/practice/reviews'
import type { HintStep } from '~~/core/practice/steps'
import { measuringWords } from '~~/shared/wording/en'
import { circleName } from '~~/shared/wording/circles'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { practiceReviewWords } from '~~/shared/wording/en/practiceReview'

/** What a step of help tells of the try as it stands. */
const props = defineProps<{ step: HintStep }>()
const practice = usePractice()
const telling = useTelling()
const w = computed(() => practiceReviewWords(telling.value.words))
const h = computed(() => practiceBenchWords(telling.value.words).hints)

/** Worked out when something is asked, not at every digit. */
const review = shallowRef<Review | null>(null)
watch(
  () => [practice.asked, practice.record?.steps.length] as const,
  async () => (review.value = await practice.review()),
  { immediate: true },
)
const moments = computed((): readonly Review['moments'][number][] => review.value?.moments ?? [])
const unseen = computed(() => moments.value.filter((m) => m.seenBy === null))
const first = computed(() => unseen.value.find((m) => m.fault !== null) ?? unseen.value[0])
const uncured = computed(() => review.value?.faults.filter((f) => !f.cured) ?? [])
const told = computed((): readonly string[] => {
  if (!review.value) return []
  switch (props.step) {
    case 'look': {
      if (first.value) return [w.value.looks[first.value.doubt.code]]
      const [fault] = uncured.value
      return [fault ? w.value.looksByFault[fault.fault] : h.value.nothing]
    }
    case 'check': {
      if (!first.value) return [h.value.nothing]
      const { doubt } = first.value
      const told = `${w.value.moments[doubt.code]}.`
      if (!('flags' in doubt)) return [told]
      const m = measuringWords(telling.value.words)
      return [
        told,
        ...doubt.flags.map((f) => m.flags[f]),
        ...(doubt.places ?? []).map((p) => `${circleName(p.circle, telling.value)}, ${String(p.clock)}°`),
      ]
    }
    default:
      if ((practice.record?.faults.length ?? 0) === 0) return [h.value.nothingHidden]
      return (uncured.value.length > 0 ? uncured.value : review.value.faults).map(
        (f) => w.value.faults[f.fault],
      )
  }
})
</script>

<template>
  <p v-for="line in told" :key="line" role="status">{{ line }}</p>
</template>
