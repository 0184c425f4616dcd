<script setup lang="ts">
import type { ShaftLines } from '~~/shared/drawing/shaftLines'

/** What every view of the shafts stands on: the stationary shaft, its axis drawn on, and the gate at the coupling. */
defineProps<{
  laid: Pick<ShaftLines, 'zero' | 'coupling' | 'gate'>
  width: number
  /** Nothing is judged here: no gate is drawn. */
  gateless?: boolean
}>()
</script>

<template>
  <g fill="none">
    <path :d="`M0 ${laid.zero}H${laid.coupling}`" stroke="#FFFFFF" stroke-width="2" />
    <path :d="`M${laid.coupling} ${laid.zero}H${width}`" stroke="#8F9AD6" stroke-dasharray="5 5" />
    <path
      v-if="laid.gate && !gateless"
      stroke="#58D3BE"
      stroke-width="1.6"
      :d="`M${laid.coupling - 7} ${laid.gate.top}h14m-7 0v-7M${laid.coupling - 7} ${laid.gate.bottom}h14m-7 0v7`"
    />
  </g>
</template>
