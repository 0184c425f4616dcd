<script setup lang="ts" generic="M extends string">
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'

/** The bench over a board: what hands reach for, why they can't, and a way to fold it away. */
defineProps<{ modes: readonly { readonly value: M; readonly name: string }[]; refused: string }>()
const folded = defineModel<boolean>('folded', { required: true })
const mode = defineModel<M>('mode', { required: true })
const w = practiceBenchWords(useWords()).bench
</script>

<template>
  <section class="stand" :aria-label="w.title">
    <div class="head">
      <el-radio-group v-model="mode" :aria-label="w.mode">
        <el-radio-button v-for="m in modes" :key="m.value" :value="m.value">{{ m.name }}</el-radio-button>
      </el-radio-group>
      <el-button class="dye-button fold" :aria-expanded="!folded" @click="folded = !folded">{{
        folded ? w.unfold : w.fold
      }}</el-button>
      <p v-if="refused" class="refused" role="alert">{{ refused }}</p>
    </div>
    <slot v-if="!folded" />
  </section>
</template>

<style scoped>
.stand {
  height: 100%;
  min-height: 0;
  overflow: auto;
  margin: 0;
  padding: 8px 14px 8px;
  color: var(--scribe);
  outline: 2px dashed var(--dye-line);
  outline-offset: -6px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.fold {
  margin-left: auto;
}
.refused {
  flex-basis: 100%;
  flex: 1;
  color: var(--brass-on-dye);
  font-weight: 600;
}
.stand :deep(.machine) {
  max-width: 620px;
  margin: 2px auto;
}
</style>
