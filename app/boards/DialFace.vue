<script setup lang="ts">
/** A dial on the hub face: its needle follows the reading that is being typed. */
const props = defineProps<{ name: string; value: number | null; units: 'inch' | 'metric' }>()
/** One turn of the needle: 100 mil, or 1 mm. */
const angle = computed(() => ((props.value ?? 0) / (props.units === 'inch' ? 100 : 1)) * 360)
const ticks = Array.from({ length: 50 }, (_, i) => ({ at: i * 7.2, long: i % 5 === 0 }))
</script>

<template>
  <svg viewBox="0 0 156 156" class="dial" aria-hidden="true">
    <g v-once>
      <circle cx="78" cy="78" r="75" fill="#15183F" stroke="#DCE3FF" stroke-width="2" />
      <path
        v-for="t in ticks"
        :key="t.at"
        :d="t.long ? 'M78 6v10' : 'M78 6v5'"
        :transform="`rotate(${t.at} 78 78)`"
        stroke="#8F9AD6"
        :stroke-width="t.long ? 2 : 1"
      />
      <circle cx="78" cy="78" r="30" fill="none" stroke="#4A52A0" stroke-width="1.5" />
    </g>
    <text
      x="78"
      y="126"
      text-anchor="middle"
      fill="#FFFFFF"
      :font-size="name.length > 9 ? 13 : 16"
      font-weight="600"
    >
      {{ name }}
    </text>
    <g class="needle" :style="{ transform: `rotate(${angle}deg)` }">
      <path d="M78 96V20" stroke="#FFFFFF" stroke-width="3" stroke-linecap="round" />
    </g>
    <circle cx="78" cy="78" r="6" fill="#FFFFFF" />
    <circle cx="78" cy="78" r="2.5" fill="#15183F" />
  </svg>
</template>

<style scoped>
.dial {
  display: block;
  width: 100%;
}
.needle {
  transform-origin: 78px 78px;
}
</style>
