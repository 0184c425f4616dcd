<script setup lang="ts">
/**
 * A short table of figures that is drawn anew at every digit: names at the left, figures at the
 * right. Long lists use the kit's table; this one has to keep up with typing.
 */
const props = defineProps<{ head: readonly string[]; onDye?: boolean }>()
/** Units stay on one line; a phrase over the names may break. */
const PHRASE = 16
const wraps = computed(() => (props.head[0] ?? '').length > PHRASE)
</script>

<template>
  <table class="figures-table" :class="{ dye: onDye, wraps }">
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
