<script setup lang="ts">
import { measuringWords } from '~~/shared/wording/en'
import type { ListedSet } from '~~/shared/stages/measure/drawing'

/** The sets logged so far, in words: what they read, whether they are used, what can be done with them. */
defineProps<{
  sets: readonly ListedSet[]
  taking: boolean
}>()
defineEmits<{ correct: [id: string]; leave: [id: string]; use: [id: string] }>()
const w = measuringWords(useWords()).view
const hush = useHush()
</script>

<template>
  <ol class="sets" :aria-label="w.logged">
    <li v-for="set in sets" :key="set.id">
      <span class="name"
        >{{ set.name }}<span v-if="!hush">{{ set.standing }}</span></span
      >
      <span class="figure values">
        <span v-for="line in set.lines" :key="line">{{ line }}</span>
      </span>
      <span v-if="taking" class="acts">
        <el-button
          link
          class="text-button"
          :aria-label="w.correctSet(set.name.toLowerCase())"
          @click="$emit('correct', set.id)"
          >{{ w.correct }}</el-button
        >
        <el-button
          v-if="!set.leftOut"
          link
          class="text-button"
          :aria-label="w.leaveOutSet(set.name.toLowerCase())"
          @click="$emit('leave', set.id)"
          >{{ w.leaveOut }}</el-button
        >
        <el-button
          v-if="set.leftOut || set.idle"
          link
          class="text-button"
          :aria-label="w.useSet(set.name.toLowerCase())"
          @click="$emit('use', set.id)"
          >{{ w.use }}</el-button
        >
      </span>
    </li>
  </ol>
</template>

<style scoped>
.sets {
  list-style: none;
  margin: 8px 0 0;
  padding: 4px 0 0;
  border-top: 1px solid var(--dye-line);
}
li {
  display: grid;
  grid-template-columns: 118px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
}
.name {
  display: grid;
  color: #fff;
}
.name span {
  font-size: 13px;
  line-height: 1.25;
  color: var(--scribe-dim);
}
.values {
  display: grid;
  font-size: 14px;
  line-height: 1.4;
}
.acts {
  display: flex;
  gap: 14px;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 1fr;
    gap: 2px;
  }
}
</style>
