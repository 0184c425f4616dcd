<script setup lang="ts">
import { toCore } from '~~/core/units/unitSystem'
import { layAlong } from '~~/shared/drawing/driveAlong'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { drawingsWords } from '~~/shared/wording/en'
import { figure } from '~~/shared/wording/figures'

/** A belt drive along its shafts, to scale from its own numbers: faces, grooves, belts, shaft ends. */
const props = defineProps<{ machine: BeltFields; units: 'inch' | 'metric' }>()
const W = 640
const w = drawingsWords(useWords())
const along = computed(() => layAlong({ ...props.machine, base: props.machine.base }, W))
const label = (value: number) =>
  figure(toCore(value, 'distance', props.machine.units), 'distance', props.units, { unit: true })
const name = (place: 'motor' | 'driven') =>
  place === 'motor' ? props.machine.movableName : props.machine.stationaryName
</script>

<template>
  <svg
    :viewBox="`-40 -4 ${W + 80} ${along.height + 12}`"
    class="drawing"
    role="img"
    :aria-label="w.alongShafts"
  >
    <g v-for="s in along.sheaves" :key="s.place">
      <path
        v-if="s.shaftEnd !== null"
        :d="`M${s.x - 7} ${s.outer}V${s.shaftEnd}H${s.x + 7}V${s.outer}`"
        class="part"
      />
      <rect :x="s.x - s.half" :y="s.outer" :width="s.half * 2" :height="s.inner - s.outer" class="part" />
      <path
        v-for="g in s.grooves"
        :key="g"
        :d="`M${s.x - s.half} ${g}H${s.x + s.half}`"
        stroke="#8F9AD6"
        stroke-dasharray="3 3"
      />
      <rect
        v-if="s.place === 'motor'"
        :x="s.x - Math.min(s.half, 30)"
        :y="s.inner"
        :width="Math.min(s.half, 30) * 2"
        height="14"
        class="part"
      />
      <text :x="s.x" :y="s.inner + 32" text-anchor="middle">
        {{ name(s.place) }}
        <tspan class="figure" dx="6">{{ label(machine.sheaves[s.place].faceWidth) }}</tspan>
      </text>
    </g>
    <path
      v-for="(b, i) in along.belts"
      :key="i"
      :d="`M${b.from.join(' ')}L${b.to.join(' ')}`"
      stroke="#FFFFFF"
      stroke-width="2"
    />
    <text :x="W / 2" y="10" text-anchor="middle" class="quiet">{{ w.outerFaces }}</text>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  background: var(--dye);
  border-radius: 4px;
}
.part {
  fill: #2a2f6e;
  stroke: #dce3ff;
  stroke-width: 1.4;
}
text {
  font-size: 14px;
  fill: #dce3ff;
}
.quiet {
  fill: #a3aee0;
}
</style>
