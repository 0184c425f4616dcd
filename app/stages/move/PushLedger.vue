<script setup lang="ts">
import { pushingWords } from '~~/shared/wording/en'
import { biteWords, slipWords } from '~~/shared/wording/pushing'

/** What the dials come to: what went wrong with the last bite, the next one, and what tightening shifted. */
const props = defineProps<{ push: ReturnType<typeof usePushForm>; pushing: boolean }>()
const telling = useTelling()
const w = computed(() => pushingWords(telling.value.words))
const watched = computed(() => props.push.watched.value)
const bite = computed(() =>
  props.pushing ? biteWords(watched.value, telling.value, props.push.live.value !== null) : [],
)
</script>

<template>
  <p v-for="q in push.ask.shown.value" :key="q" class="slip" role="alert">{{ q }}</p>
  <p v-if="watched.slip && pushing" class="slip" role="alert">{{ slipWords(watched, telling) }}</p>
  <section v-if="bite.length > 0">
    <h3>{{ w.bites.title }}</h3>
    <p v-for="line in bite" :key="line">{{ line }}</p>
  </section>
  <p v-if="watched.drift?.over" class="slip" role="alert">{{ w.drift.overWhat }}</p>
  <ChoiceRow
    v-if="pushing && push.typed.value"
    :model-value="push.when.value"
    :label="w.whenRead"
    :options="[
      { value: 'pushing', name: w.afterBite },
      { value: 'tightened', name: w.afterTightening },
    ]"
    @update:model-value="push.sayWhen($event)"
  />
</template>

<style scoped>
.slip {
  border-left: 3px solid var(--edge);
  padding-left: 12px;
}
</style>
