<script setup lang="ts">
/**
 * A short table of figures that is drawn anew at every digit: names at the left, figures at the
 * right. Long lists use the kit's table; this one has to keep up with typing.
 */
defineProps<{ head: readonly string[]; onDye?: boolean }>()
</script>

<template>
  <table class="figures-table" :class="{ dye: onDye }">
    <thead>
      <tr>
        <th v-for="(h, i) in head" :key="i" scope="col">{{ h }}</th>
      </tr>
    </thead>
    <tbody>
      <slot />
    </tbody>
  </table>
</template>
