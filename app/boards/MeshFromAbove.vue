<script setup lang="ts">
import type { Lever } from '~~/core/gear/levers'
import type { GearKind } from '~~/core/register/gearMachine'
import { gearWords } from '~~/shared/wording/en'

/** The gears from above between the two ends of a tooth, and what of them is to be shifted: brass, which way and how far. */
const props = defineProps<{
  kind: GearKind
  ends: { readonly from: string; readonly to: string }
  /** Null where nothing is to be shifted; `to` shifts to the right, where the second end is. */
  shift: {
    readonly lever: Lever
    readonly way: 'from' | 'to'
    readonly figure: string
    readonly unit: string
  } | null
}>()
const words = useWords()
const w = gearWords(words)
const way = computed(() => (props.shift?.way === 'to' ? 1 : -1))
const moves = (lever: Lever) => props.shift?.lever === lever
const thread = Array.from({ length: 6 }, (_, i) => 58 + 15 * i)
/** Where the arrow beside a block begins, and where the figure stands. */
const arrow = computed(() => ({ x: way.value > 0 ? 262 : 118 }))
const at = computed(() => ({ x: way.value > 0 ? 318 : 62, y: moves('blocks') ? 56 : 44 }))
</script>

<template>
  <svg
    viewBox="0 0 380 200"
    class="mesh"
    role="img"
    :aria-label="
      shift
        ? w.shift(
            w.levers[kind][shift.lever],
            `${shift.figure} ${shift.unit}`,
            shift.way === 'to' ? ends.to : ends.from,
          )
        : w.view.fromAbove
    "
  >
    <text x="36" y="142" class="small">{{ ends.from }}</text>
    <text x="344" y="142" class="small" text-anchor="end">{{ ends.to }}</text>
    <g :class="{ moved: moves('gear') }">
      <path d="M40 96H146M234 96H340M40 108H146M234 108H340" class="line" />
      <rect x="60" y="84" width="34" height="36" class="line" />
      <rect x="286" y="84" width="34" height="36" class="line" />
      <rect x="146" y="44" width="88" height="116" class="body" />
      <path
        v-for="y in [56, 68, 80, 92, 104, 116, 128, 140, 152]"
        :key="y"
        :d="`M148 ${y}H156M224 ${y}H232`"
        class="tooth"
      />
    </g>
    <rect v-if="moves('gear')" :x="146 + 16 * way" y="44" width="88" height="116" class="then" />
    <path v-if="kind === 'worm'" d="M160 54h60v96h-60z" class="worm" />
    <path v-else d="M172 54h36l14 96h-64z" class="worm" />
    <path v-for="y in thread" :key="y" :d="`M162 ${y + 8}L218 ${y - 6}`" class="thread" />
    <path d="M182 44V34M198 44V34M182 150v18M198 150v18" class="line" />
    <g v-for="y in [6, 166]" :key="y" :class="{ moved: moves('blocks') }">
      <rect x="130" :y="y" width="120" height="28" class="block" />
      <circle cx="146" :cy="y + 14" r="5" class="bolt" />
      <circle cx="234" :cy="y + 14" r="5" class="bolt" />
      <template v-if="moves('blocks')">
        <rect :x="130 + 16 * way" :y="y" width="120" height="28" class="then" />
        <path
          :d="`M${arrow.x + 12 * way} ${y + 14}h${30 * way}m0 0l${-9 * way}-6m${9 * way} 6l${-9 * way} 6`"
          class="arrow"
        />
      </template>
    </g>
    <path
      v-if="moves('gear')"
      :d="`M${arrow.x + 12 * way} 70h${30 * way}m0 0l${-9 * way}-6m${9 * way} 6l${-9 * way} 6`"
      class="arrow"
    />
    <text v-if="shift" class="figure by" text-anchor="middle">
      <tspan :x="at.x" :y="at.y">{{ shift.figure }}</tspan>
      <tspan :x="at.x" :y="at.y + 20" class="unit">{{ shift.unit }}</tspan>
    </text>
  </svg>
</template>

<style scoped>
.mesh {
  display: block;
  width: 100%;
  max-height: 216px;
}
.small {
  font-size: 15.5px;
  fill: var(--scribe-dim);
}
.line {
  fill: none;
  stroke: var(--scribe-dim);
  stroke-width: 1.3;
}
.body,
.block {
  fill: color-mix(in srgb, var(--scribe) 12%, var(--dye));
  stroke: var(--scribe);
  stroke-width: 1.4;
}
.tooth {
  stroke: var(--scribe-dim);
}
.worm {
  fill: var(--dye-deep);
  stroke: #fff;
  stroke-width: 1.6;
}
.thread {
  stroke: var(--scribe);
  stroke-width: 1.5;
}
.bolt {
  fill: none;
  stroke: var(--scribe);
}
.moved .block,
.moved .body {
  stroke: var(--brass-on-dye);
  fill: color-mix(in srgb, var(--brass-on-dye) 20%, var(--dye));
}
.then {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-dasharray: 6 4;
}
.arrow {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-width: 3.5;
}
.unit {
  font-size: 17px;
}
.by {
  font-size: 27px;
  fill: var(--brass-on-dye);
}
</style>
