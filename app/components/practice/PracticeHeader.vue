<script setup lang="ts">
import { drivesWords } from '~~/shared/wording/en'
import { practiceWords } from '~~/shared/wording/en/practice'
import { joinedWords } from '~~/shared/wording/joined'

/** The head of a try: which machine it is a copy of, and that nothing of it reaches a record. */
const practice = usePractice()
const words = useWords()
const w = practiceWords(words)
const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
const machine = computed(() => practice.record?.machine)
const what = computed(() => {
  const m = machine.value
  if (!m) return ''
  const { between: drive, inJob } = drivesWords(words)
  return inJob(
    m.powerKw,
    drive(m.movableName.toLowerCase(), m.stationaryName.toLowerCase()),
    lower(joinedWords(m, words)),
    m.rpm,
  )
})
const title = computed(() => {
  const lesson = practice.record?.lesson
  return lesson ? w.lessons.names[lesson] : `${machine.value?.tag ?? ''} ${machine.value?.name ?? ''}`
})
</script>

<template>
  <header class="header">
    <NuxtLink to="/practice" class="home" :aria-label="w.review.toPractice"
      ><img src="/mark.svg" alt="" width="30" height="30"
    /></NuxtLink>
    <h1>{{ title }}</h1>
    <span class="tag">{{ w.tag }}</span>
    <p class="muted what">{{ what }}</p>
    <span class="muted book">{{ w.book }}</span>
    <SessionControls />
  </header>
</template>

<style scoped>
.header {
  grid-area: header;
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 16px 0 20px;
  background: var(--panel);
  border-bottom: 1px solid var(--hairline);
  min-width: 0;
}
.home {
  display: flex;
}
h1 {
  font-size: 18px;
  white-space: nowrap;
}
.tag {
  flex: none;
  padding: 4px 10px;
  border: 1.5px dashed var(--field-line);
  font-size: 14px;
  font-weight: 600;
}
.what {
  flex: 1;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 14px;
}
.book {
  font-size: 14px;
  white-space: nowrap;
}
@media (max-width: 1100px) {
  .book,
  .what {
    display: none;
  }
  h1 {
    flex: 1;
    overflow: hidden;
    text-overflow: ellipsis;
  }
}
@media (max-width: 640px) {
  .header {
    flex-wrap: wrap;
    gap: 6px 10px;
    padding: 8px 12px;
  }
}
</style>
