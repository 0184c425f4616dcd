<script setup lang="ts">
/** The one button of the second screen: hit with a glove on. */
defineEmits<{ hit: [] }>()
</script>

<template>
  <el-button class="big" @click="$emit('hit')"><slot /></el-button>
</template>

<style scoped>
.big.el-button {
  width: 100%;
  min-height: 110px;
  margin: 8px 0 0;
  font-size: 44px;
  font-weight: 700;
  background: var(--brass-on-dye);
  border: 0;
  border-radius: 6px;
  color: #15183f;
}
@media (orientation: landscape) and (max-height: 500px) {
  .big.el-button {
    min-height: 64px;
    font-size: 30px;
  }
}
</style>
