<script setup lang="ts">
import { labelOf } from '~~/shared/quick/labels'

/** The sizes of a drive under its drawing: both sheaves, and either the centre distance or the belt's length. */
const { box } = useSumBoard()
const SIZES = ['d', 'D', 'C', 'L'] as const
</script>

<template>
  <div class="boxes">
    <NumberBox v-for="s in SIZES" :key="s" v-bind="box(s, 'distance')" :label="labelOf(s)" />
  </div>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 12px;
  align-items: end;
  margin-bottom: 14px;
}
@media (max-width: 900px) {
  .boxes {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
