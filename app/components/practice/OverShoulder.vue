<script setup lang="ts">
import type { Review } from '~~/core/practice/review'
import { entriesOf, HINT_STEPS, type HintStep } from '~~/core/practice/steps'
import { movesMade } from '~~/core/practice/movesMade'
import { practiceWords } from '~~/shared/wording/en/practice'
import { measuringWords } from '~~/shared/wording/en'
import { circleName } from '~~/shared/wording/circles'

/** Help in three steps, asked one after the other, and what the try has cost so far. */
const practice = usePractice()
const telling = useTelling()
const w = computed(() => practiceWords(telling.value.words))
const h = computed(() => w.value.hints)

const asked = computed(() => practice.asked)
const at = computed(() => (asked.value ? HINT_STEPS.indexOf(asked.value) : -1))
/** Worked out when something is asked, not at every digit. */
const review = shallowRef<Review | null>(null)
watch(
  () => [asked.value, practice.record?.steps.length] as const,
  async ([now]) => (review.value = now ? await practice.review() : null),
  { immediate: true },
)
const open = computed(() => review.value?.moments.filter((m) => m.seenBy === null && m.fault !== null) ?? [])
const anyOpen = computed(() => review.value?.moments.filter((m) => m.seenBy === null) ?? [])
const first = computed(() => open.value[0] ?? anyOpen.value[0])
const uncured = computed(() => review.value?.faults.filter((f) => !f.cured) ?? [])
const told = (step: HintStep): readonly string[] => {
  if (!review.value) return []
  const hidden = practice.record?.faults.length ?? 0
  switch (step) {
    case 'look': {
      if (first.value) return [h.value.looks[first.value.doubt.code]]
      const [fault] = uncured.value
      return [fault ? h.value.looksByFault[fault.fault] : h.value.nothing]
    }
    case 'check': {
      if (!first.value) return [h.value.nothing]
      const { flags, places, code } = first.value.doubt
      const m = measuringWords(telling.value.words)
      return [
        `${w.value.moments[code]}.`,
        ...flags.map((f) => m.flags[f]),
        ...(places ?? []).map((p) => `${circleName(p.circle, telling.value)}, ${String(p.clock)}°`),
      ]
    }
    case 'answer':
      if (hidden === 0) return [h.value.nothingHidden]
      return (uncured.value.length > 0 ? uncured.value : (review.value?.faults ?? [])).map(
        (f) => w.value.faults[f.fault],
      )
  }
}
const moves = computed(() =>
  movesMade(entriesOf((practice.record?.steps ?? []).slice(practice.record?.opened ?? 0))),
)
</script>

<template>
  <section class="over" :aria-label="h.title">
    <p class="muted">{{ h.quiet }}</p>
    <ol>
      <li v-for="(step, i) in HINT_STEPS" :key="step" :class="{ told: i <= at }">
        <span class="n figure" aria-hidden="true">{{ i + 1 }}</span>
        <div>
          <strong>{{ h.names[step] }}</strong>
          <template v-if="i <= at">
            <p v-for="line in told(step)" :key="line" role="status">{{ line }}</p>
          </template>
          <p v-else-if="step === 'answer'" class="muted">{{ h.counts }}</p>
        </div>
        <el-button
          v-if="i === at + 1"
          class="quiet-button"
          :aria-label="`${h.names[step]}: ${h.ask}`"
          @click="practice.ask(step)"
          >{{ h.ask }}</el-button
        >
      </li>
    </ol>
    <p class="sofar">
      <b class="figure">{{ moves }}</b> {{ w.review.moves }}
    </p>
    <NuxtLink :to="`/practice/review/${practice.record?.id}`" class="text-button done">{{
      w.review.open
    }}</NuxtLink>
  </section>
</template>

<style scoped>
.over {
  padding-bottom: 10px;
  border-bottom: 1px solid var(--hairline);
}
ol {
  list-style: none;
  margin: 8px 0;
  padding: 0;
}
li {
  display: flex;
  align-items: flex-start;
  gap: 10px;
  padding: 6px 0;
}
li > div {
  flex: 1;
  font-size: 15px;
}
.n {
  flex: none;
  width: 26px;
  height: 26px;
  line-height: 24px;
  text-align: center;
  border: 1.5px dashed var(--field-line);
  border-radius: 50%;
  font-size: 14px;
}
.told .n {
  background: var(--dye);
  border-color: var(--dye);
  color: #fff;
}
.sofar b {
  font-size: 20px;
  margin-right: 4px;
}
.done {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
</style>
