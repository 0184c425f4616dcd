<script setup lang="ts">
/** The machine on the bench from its 9 side: hubs, bar and dials, feet with their leaves and bolts. */
const props = defineProps<{
  label: string
  names: { readonly stationary: string; readonly movable: string }
  made: boolean
  guarded: boolean
  /** Where the dials stand round the clock, degrees; none where no bar is on. */
  clock: number | null
  /** Letters on the dials, in order. */
  dials: readonly string[]
  bar: 'movable' | 'stationary'
  /** Leaves under the two feet of the motor that one sees, and whether their bolts are loose. */
  feet: readonly { readonly name: string; readonly leaves: readonly number[]; readonly loose: boolean }[]
  pipe: 'none' | 'bolted' | 'slack'
  /** What the motor's plate says. */
  plate: string
}>()
/** A dial goes round the hub: above at 12, below at 6, in front or behind at the sides. */
const up = computed(() => Math.cos(((props.clock ?? 0) * Math.PI) / 180))
const front = computed(() => Math.sin(((props.clock ?? 0) * Math.PI) / 180) < 0)
const barY = computed(() => 74 - 52 * up.value)
const MOTOR_FEET = [
  { x: 486, w: 56 },
  { x: 628, w: 56 },
]
/** Leaves are drawn to one scale, however thick they are. */
const leafHeights = (leaves: readonly number[]) => {
  let y = 0
  return leaves.map((t) => {
    const h = Math.max(1.6, Math.min(7, t * 5))
    const own = { y, h }
    y += h + 0.6
    return own
  })
}
</script>

<template>
  <svg viewBox="0 0 720 152" class="machine" role="img" :aria-label="label">
    <path d="M10 140H710" stroke="#DCE3FF" stroke-width="2" />
    <!-- what is driven -->
    <path d="M20 26H196V128H20z" fill="#1B1F55" stroke="#DCE3FF" stroke-width="1.6" />
    <path d="M150 128h44v12h-44zM30 128h44v12H30z" fill="#15183F" stroke="#DCE3FF" stroke-width="1.4" />
    <text x="34" y="46" fill="#A3AEE0" font-size="14">{{ names.stationary }}</text>
    <path
      v-if="pipe !== 'none'"
      :d="pipe === 'bolted' ? 'M70 26V6' : 'M70 22V4'"
      stroke="#A3AEE0"
      stroke-width="16"
    />
    <path v-if="pipe !== 'none'" d="M56 26h28" stroke="#DCE3FF" stroke-width="4" />
    <!-- shafts and hubs -->
    <path d="M196 66h70v16h-70zM396 66h70v16h-70z" fill="#1B1F55" stroke="#DCE3FF" stroke-width="1.4" />
    <path d="M266 34h44v80h-44z" fill="#15183F" stroke="#DCE3FF" stroke-width="1.8" />
    <path d="M352 34h44v80h-44z" fill="#15183F" stroke="#DCE3FF" stroke-width="1.8" />
    <path v-if="made" d="M310 44h42v60h-42z" fill="#2A2F78" stroke="#A3AEE0" stroke-width="1.4" />
    <path d="M200 74H470" stroke="#6670BE" stroke-width="1" stroke-dasharray="12 4 2 4" />
    <!-- motor -->
    <path d="M466 22H700V118H466z" fill="#1B1F55" stroke="#DCE3FF" stroke-width="1.6" />
    <path d="M480 36H686M480 46H686M480 94H686M480 104H686" stroke="#3C4390" stroke-width="1" />
    <text x="583" y="66" fill="#A3AEE0" font-size="14" text-anchor="middle">{{ names.movable }}</text>
    <path d="M537 70h92v19h-92z" fill="#15183F" stroke="#A3AEE0" stroke-width="1" />
    <text x="583" y="84" fill="#DCE3FF" font-size="13" text-anchor="middle" class="figure">{{ plate }}</text>
    <g v-for="(foot, i) in feet" :key="foot.name">
      <path
        :d="`M${MOTOR_FEET[i]!.x} 118h${MOTOR_FEET[i]!.w}v8h-${MOTOR_FEET[i]!.w}z`"
        fill="#15183F"
        stroke="#DCE3FF"
        stroke-width="1.4"
      />
      <g fill="#DCE3FF">
        <rect
          v-for="(l, j) in leafHeights(foot.leaves)"
          :key="j"
          :x="MOTOR_FEET[i]!.x + 2"
          :y="138 - l.y - l.h"
          :width="MOTOR_FEET[i]!.w - 4"
          :height="l.h"
        />
      </g>
      <path
        :d="`M${MOTOR_FEET[i]!.x + 24} ${foot.loose ? 106 : 112}h8v${foot.loose ? 18 : 14}h-8z`"
        :fill="foot.loose ? 'none' : '#DCE3FF'"
        stroke="#DCE3FF"
        stroke-width="1.4"
      />
      <path
        :d="`M${MOTOR_FEET[i]!.x + 18} ${foot.loose ? 101 : 107}h20v6h-20z`"
        :fill="foot.loose ? 'none' : '#DCE3FF'"
        stroke="#DCE3FF"
        stroke-width="1.4"
      />
      <text :x="MOTOR_FEET[i]!.x - 8" y="133" fill="#C3CBF2" font-size="13" text-anchor="end" class="figure">
        {{ foot.name }}
      </text>
    </g>
    <!-- bar and dials -->
    <g v-if="clock !== null && dials.length" :opacity="front || up > 0.2 || up < -0.2 ? 1 : 0.45">
      <path
        :d="bar === 'movable' ? `M420 74V${barY}H288V${74 - 42 * up}` : `M240 74V${barY}H374V${74 - 42 * up}`"
        fill="none"
        stroke="#FFFFFF"
        stroke-width="3"
      />
      <path
        :d="bar === 'movable' ? 'M410 62h20v24h-20z' : 'M230 62h20v24h-20z'"
        fill="#3C4390"
        stroke="#DCE3FF"
      />
      <g v-for="(letter, i) in dials" :key="letter">
        <circle
          :cx="(bar === 'movable' ? 288 : 374) + (i === 0 ? 0 : bar === 'movable' ? 36 : -36)"
          :cy="i === 0 ? barY : 74 - 36 * up"
          r="13"
          fill="#15183F"
          stroke="#FFFFFF"
          stroke-width="2"
        />
        <text
          :x="(bar === 'movable' ? 288 : 374) + (i === 0 ? 0 : bar === 'movable' ? 36 : -36)"
          :y="(i === 0 ? barY : 74 - 36 * up) + 5"
          font-size="14"
          font-weight="700"
          fill="#FFFFFF"
          text-anchor="middle"
        >
          {{ letter }}
        </text>
      </g>
    </g>
    <path
      v-if="guarded"
      d="M206 22H456V126H206z"
      fill="#2A2F78"
      stroke="#DCE3FF"
      stroke-width="1.8"
      stroke-dasharray="3 3"
    />
  </svg>
</template>

<style scoped>
.machine {
  display: block;
  width: 100%;
}
</style>
