<script setup lang="ts">
/** What to do, step by step, numbered on the board. */
defineProps<{ name: string; steps: readonly string[] }>()
</script>

<template>
  <section class="steps" :aria-label="name">
    <h3>{{ name }}</h3>
    <ol>
      <li v-for="(step, i) in steps" :key="step">
        <span class="number figure">{{ i + 1 }}</span>
        <p>{{ step }}</p>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.steps {
  border-top: 1px solid var(--dye-line);
  padding-top: 10px;
}
h3 {
  font-size: 18px;
  color: #fff;
}
ol {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 12px;
  align-items: start;
}
.number {
  width: 26px;
  height: 26px;
  border-radius: 50%;
  border: 1.5px solid var(--scribe-dim);
  display: grid;
  place-content: center;
  font-size: 15px;
  color: var(--scribe);
}
p {
  color: var(--scribe);
  font-size: 16px;
  line-height: 1.4;
}
</style>
