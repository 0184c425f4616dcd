<script setup lang="ts">
import { measuringWords } from '~~/shared/wording/en'
/** The ways a set may be taken round the clock; pressing one takes it. */
defineProps<{ ways: readonly { readonly value: string; readonly name: string }[]; way: string }>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [way: string] }>()
const v = computed(() => measuringWords(telling.value.words).view)
const telling = useTelling()
const take = (way: string) => {
  emit('take', way)
  shown.value = false
}
</script>

<template>
  <el-dialog v-model="shown" :title="v.way" width="min(520px, 96vw)" append-to-body>
    <div class="ways">
      <el-button
        v-for="o in ways"
        :key="o.value"
        class="quiet-button"
        :aria-pressed="o.value === way"
        @click="take(o.value)"
        >{{ o.name }}</el-button
      >
    </div>
  </el-dialog>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(210px, 100%), 1fr));
  gap: 10px;
}
.ways .el-button {
  margin: 0;
  min-height: var(--touch);
  justify-content: flex-start;
}
.ways [aria-pressed='true'] {
  border-color: var(--ink);
  border-width: 2px;
  font-weight: 600;
}
</style>
