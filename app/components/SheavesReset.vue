<script setup lang="ts">
import type { ResetAnswer } from '~~/shared/api/answers'
import { sheaveSettingWords } from '~~/shared/wording/en'
import { resetWords } from '~~/shared/wording/sheaveSetting'

/** Machines whose sheave was set otherwise since they were lined up, each with the job that puts it right. */
const props = defineProps<{ machines: readonly ResetAnswer[] }>()
const words = useWords()
const w = sheaveSettingWords(words).today
const rows = computed(() =>
  props.machines.map((m) => ({ ...m, ...resetWords(m.reset, m.closedAt, { words }) })),
)
const go = ({ tag, openJob }: ResetAnswer) =>
  navigateTo(openJob ? `/jobs/${openJob}` : `/machines/${encodeURIComponent(tag)}?start=sheave-set`)
</script>

<template>
  <section :aria-label="w.title">
    <h2>{{ w.title }}</h2>
    <ul class="panel reset">
      <li v-for="r in rows" :key="r.tag">
        <VerdictMark mark="stale" silent />
        <p>
          <NuxtLink :to="`/machines/${encodeURIComponent(r.tag)}`"
            ><strong>{{ r.tag }} {{ r.machineName }}</strong></NuxtLink
          >
          <span>{{ r.what }}</span>
          <span class="muted">{{ r.stale }}</span>
        </p>
        <el-button class="quiet-button" @click="go(r)">{{ r.openJob ? w.goOn : w.start }}</el-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.reset {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) 96px;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 14px;
}
li + li {
  border-top: 1px solid var(--hairline);
}
p span {
  margin-left: 10px;
}
</style>
