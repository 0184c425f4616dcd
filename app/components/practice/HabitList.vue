<script setup lang="ts">
import type { PracticeResult } from '~~/shared/practice/result'
import { habitsSeen } from '~~/shared/practice/seen'
import { practiceWords } from '~~/shared/wording/en/practice'

/** What the bench has seen somebody do, in plain words and counts. */
const props = defineProps<{ results: readonly PracticeResult[] }>()
const w = practiceWords(useWords()).habits
const rows = computed(() =>
  habitsSeen(props.results).map((h) => {
    const mostly = h.well * 2 >= h.times.length
    return {
      ...h,
      text: mostly ? w.well[h.habit] : w.badly[h.habit],
      count: w.of(mostly ? h.well : h.times.length - h.well, h.times.length),
      marks: h.times.map((t) => t === mostly),
    }
  }),
)
</script>

<template>
  <section>
    <h2>{{ w.title }}</h2>
    <p v-if="rows.length === 0" class="muted">{{ w.none }}</p>
    <ul v-else>
      <li v-for="r in rows" :key="r.habit">
        <strong>{{ r.text }}</strong>
        <span class="muted">{{ r.count }}</span>
        <span class="marks" aria-hidden="true"
          ><i v-for="(m, i) in r.marks" :key="i" :class="{ tall: m }"
        /></span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  padding: 8px 0;
  border-top: 1px solid var(--hairline);
}
li strong {
  grid-column: 1 / -1;
  font-size: 15px;
}
li .muted {
  font-size: 14px;
}
.marks {
  display: flex;
  align-items: end;
  gap: 6px;
}
i {
  width: 3px;
  height: 6px;
  background: var(--muted);
}
i.tall {
  height: 14px;
  background: var(--ink);
}
</style>
