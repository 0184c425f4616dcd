<script setup lang="ts">
import { shellWords } from '~~/shared/wording/en'

const { mapOpen } = useKeyEvents()
const words = useWords()
const w = shellWords(words)
</script>

<template>
  <el-dialog v-model="mapOpen" :title="w.keys" width="min(460px, 94vw)" append-to-body>
    <dl class="keys">
      <template v-for="row in w.keyMap" :key="row.keys">
        <dt class="figure">{{ row.keys }}</dt>
        <dd>{{ row.does }}</dd>
      </template>
    </dl>
  </el-dialog>
</template>

<style scoped>
.keys {
  display: grid;
  grid-template-columns: 130px 1fr;
  gap: 8px 12px;
  margin: 0;
}
dd {
  margin: 0;
}
</style>
