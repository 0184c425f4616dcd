<script setup lang="ts">
import { beltsWords, drawingsWords, drivesWords } from '~~/shared/wording/en'
import { toCore } from '~~/core/units/unitSystem'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { figure } from '~~/shared/wording/figures'

/** A belt drive from the side, to scale from its own numbers: sheaves, strands, base and the way of the pull. */
const props = defineProps<{ machine: BeltFields; units: 'inch' | 'metric' }>()
const W = 720
const H = 330
const mm = (x: number) => toCore(x, 'distance', props.machine.units)
const drive = computed(() => {
  const { sheaves, centreDistance, base } = props.machine
  const [d, D, C] = [mm(sheaves.motor.pitchDiameter), mm(sheaves.driven.pitchDiameter), mm(centreDistance)]
  const upright = base.place !== 'beside'
  const along = C + d / 2 + D / 2
  const broad = Math.max(d, D)
  const scale = upright ? Math.min(230 / along, 500 / broad) : Math.min(560 / along, 210 / broad)
  const r = (d / 2) * scale
  const R = (D / 2) * scale
  const c = C * scale
  const motor = upright
    ? { x: W / 2, y: base.place === 'above' ? 34 + r : H - 60 - r }
    : { x: (W - c) / 2 + (r - R) / 2, y: 140 }
  const driven = upright
    ? { x: W / 2, y: base.place === 'above' ? motor.y + c : motor.y - c }
    : { x: motor.x + c, y: 140 }
  // Tangent points of an open belt: the strands lean by beta to the line of centres.
  const beta = Math.asin((R - r) / c)
  const ux = (driven.x - motor.x) / c
  const uy = (driven.y - motor.y) / c
  const strand = (side: 1 | -1) => {
    const nx = -Math.sin(beta) * ux + side * Math.cos(beta) * -uy
    const ny = -Math.sin(beta) * uy + side * Math.cos(beta) * ux
    return `M${motor.x + nx * r} ${motor.y + ny * r}L${driven.x + nx * R} ${driven.y + ny * R}`
  }
  return { r, R, motor, driven, strands: [strand(1), strand(-1)], upright }
})
const label = (value: number) => figure(mm(value), 'distance', props.units, { unit: true })
const words = useWords()
const w = beltsWords(words)
const drawings = drawingsWords(words)
</script>

<template>
  <svg
    :viewBox="`0 0 ${W} ${H}`"
    class="drawing"
    role="img"
    :aria-label="drawings.beltMachine(machine.movableName, machine.stationaryName)"
  >
    <g fill="none" stroke="#DCE3FF" stroke-width="1.6">
      <circle :cx="drive.motor.x" :cy="drive.motor.y" :r="drive.r" />
      <circle :cx="drive.driven.x" :cy="drive.driven.y" :r="drive.R" />
      <path v-for="s in drive.strands" :key="s" :d="s" stroke-width="3" />
    </g>
    <g fill="#DCE3FF">
      <circle :cx="drive.motor.x" :cy="drive.motor.y" r="4" />
      <circle :cx="drive.driven.x" :cy="drive.driven.y" r="4" />
    </g>
    <path
      :d="`M${drive.motor.x} ${drive.motor.y}L${drive.driven.x} ${drive.driven.y}`"
      stroke="#8F9AD6"
      stroke-dasharray="14 4 3 4"
    />
    <g font-size="15" fill="#DCE3FF" text-anchor="middle">
      <text
        class="figure"
        :x="(drive.motor.x + drive.driven.x) / 2 + (drive.upright ? Math.max(drive.r, drive.R) + 56 : 0)"
        :y="(drive.motor.y + drive.driven.y) / 2 - 8"
      >
        {{ label(machine.centreDistance) }}
      </text>
      <template v-if="drive.upright">
        <text :x="drive.motor.x - drive.r - 84" :y="drive.motor.y">
          {{ machine.movableName }} {{ label(machine.sheaves.motor.pitchDiameter) }}
        </text>
        <text :x="drive.driven.x - drive.R - 84" :y="drive.driven.y">
          {{ machine.stationaryName }} {{ label(machine.sheaves.driven.pitchDiameter) }}
        </text>
      </template>
      <template v-else>
        <text :x="drive.motor.x" y="274">{{ machine.movableName }}</text>
        <text class="figure" :x="drive.motor.x" y="294">
          {{ label(machine.sheaves.motor.pitchDiameter) }}
        </text>
        <text :x="drive.driven.x" y="274">{{ machine.stationaryName }}</text>
        <text class="figure" :x="drive.driven.x" y="294">
          {{ label(machine.sheaves.driven.pitchDiameter) }}
        </text>
      </template>
    </g>
    <text x="18" y="28" font-size="15" fill="#DCE3FF">
      {{
        drawings.belts(
          drivesWords(words).belts(machine.belts.count, drivesWords(words).beltKinds[machine.belts.kind]),
          machine.belts.section,
        )
      }}
    </text>
    <text x="18" :y="H - 10" font-size="15" fill="#A3AEE0">
      {{
        drawings.base(
          w.bases[machine.base.kind],
          w.motorPlaces[machine.base.place],
          w.pulls[machine.base.pull],
        )
      }}
    </text>
  </svg>
</template>

<style scoped>
.drawing {
  display: block;
  width: 100%;
  height: 100%;
  background: var(--dye);
  border-radius: 4px;
}
</style>
