<script setup lang="ts">
import dayjs from 'dayjs'
import type { LessonId } from '~~/core/practice/lessons'
import { practiceWords } from '~~/shared/wording/en/practice'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { deviceStore } from '~/device/database'

/** Tries of this device that were begun and not handed in: a way back to each, the newest first. */
interface Kept {
  readonly id: string
  readonly lesson: LessonId | null
  readonly machine: { readonly tag: string; readonly name: string }
  readonly startedAt: string
  readonly finishedAt: string | null
}
const w = practiceWords(useWords())
const { lessonNames } = practiceBenchWords(useWords())
/** Shown at once, and kept on the device at all. */
const [SHOWN, KEPT] = [4, 40]
const tries = shallowRef<readonly Kept[]>([])
const newest = (a: Kept, b: Kept) => b.startedAt.localeCompare(a.startedAt)
const read = async () => {
  const db = await deviceStore()
  const all = [...((await db.getAll('practice')) as unknown as readonly Kept[])].sort(newest)
  tries.value = all.filter((t) => t.finishedAt === null)
  // What was handed in long ago has its result in the book.
  for (const old of all.filter((t) => t.finishedAt !== null).slice(KEPT)) await db.delete('practice', old.id)
}
onMounted(() => void read().catch(() => null))
const drop = async (id: string) => {
  await (await deviceStore()).delete('practice', id)
  await read()
}
const name = (t: Kept) => (t.lesson ? lessonNames[t.lesson] : `${t.machine.tag} ${t.machine.name}`)
</script>

<template>
  <section v-if="tries.length > 0">
    <h2>{{ w.goOnTitle }}</h2>
    <ul>
      <li v-for="t in tries.slice(0, SHOWN)" :key="t.id">
        <NuxtLink :to="`/practice/${t.id}`" class="text-button">{{ name(t) }}</NuxtLink>
        <span class="muted">{{ w.goOn(dayjs(t.startedAt).format('D MMM, HH:mm')) }}</span>
        <el-button link class="text-button" :aria-label="w.dropTry(name(t))" @click="drop(t.id)">{{
          w.drop
        }}</el-button>
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
  margin: 6px 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  align-items: center;
  border-top: 1px solid var(--hairline);
}
li .muted {
  font-size: 14px;
  grid-column: 1;
}
li a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}
li .el-button {
  grid-area: 1 / 2 / span 2;
}
</style>
