<script setup lang="ts">
import { HINT_STEPS } from '~~/core/practice/steps'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { loadedAhead } from '~/stages/ahead'

// What is told takes the whole look back: it comes when it is first asked for.
const HintTold = loadedAhead(() => import('./HintTold.vue'))

/** Help in three steps, asked one after the other, and what the try has cost so far. */
const practice = usePractice()
const telling = useTelling()
const w = computed(() => practiceBenchWords(telling.value.words))
const h = computed(() => w.value.hints)

const asked = computed(() => practice.asked)
const at = computed(() => (asked.value ? HINT_STEPS.indexOf(asked.value) : -1))
</script>

<template>
  <section class="over" :aria-label="h.title">
    <p class="muted">{{ h.quiet }}</p>
    <ol>
      <li v-for="(step, i) in HINT_STEPS" :key="step" :class="{ told: i <= at }">
        <span class="n figure" aria-hidden="true">{{ i + 1 }}</span>
        <div>
          <strong>{{ h.names[step] }}</strong>
          <HintTold v-if="i <= at" :step="step" />
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
      <b class="figure">{{ practice.moves }}</b> {{ w.moves }}
    </p>
    <NuxtLink :to="`/practice/review/${practice.record?.id}`" class="text-button done">{{ w.done }}</NuxtLink>
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
