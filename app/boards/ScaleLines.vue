<script setup lang="ts">
/** Lines of a scale along an edge, with its numbers under them; inside a drawing. */
defineProps<{
  lines: readonly { readonly x: number; readonly size: number; readonly text: string }[]
  /** Where the lines begin, and where the numbers stand. */
  from: number
  numbers: number
}>()
</script>

<template>
  <g>
    <path
      v-for="(l, i) in lines"
      :key="i"
      :d="`M${l.x} ${from}v${l.size}`"
      stroke="#DCE3FF"
      :stroke-width="l.text ? 1.6 : 0.8"
    />
    <text
      v-for="(l, i) in lines.filter((l) => l.text)"
      :key="`t${i}`"
      class="figure"
      :x="l.x"
      :y="numbers"
      font-size="13"
      fill="#C3CBF2"
      text-anchor="middle"
    >
      {{ l.text }}
    </text>
  </g>
</template>
