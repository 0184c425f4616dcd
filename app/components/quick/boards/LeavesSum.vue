<script setup lang="ts">
import { quickWords } from '~~/shared/wording/viewWords'
import { toCore } from '~~/core/units/unitSystem'
import { figure } from '~~/shared/wording/figures'

/** The leaves that a sum comes to, to scale: a pack as it lies, or steps in section. */
const props = defineProps<{ id: string; result: unknown }>()
const session = useSession()
const inMm = (x: number) => toCore(x, 'displacement', session.units)
interface Leaf {
  readonly thickness: number
  readonly source?: 'kept' | 'stock' | 'peeled'
  readonly depth?: number
}
const pack = computed(() => (props.result as { pack?: readonly Leaf[] } | null)?.pack ?? null)
const drawn = computed(() => {
  const leaves = pack.value ?? []
  const whole = leaves.reduce((s, l) => s + inMm(l.thickness), 0) || 1
  let y = 150
  return leaves.map((l) => {
    const h = (inMm(l.thickness) / whole) * 130
    y -= h
    return { y, h, kept: l.source === 'kept', peeled: l.source === 'peeled', thick: inMm(l.thickness) }
  })
})
const recipe = computed(() => {
  const r = props.result as {
    leaves?: readonly Required<Leaf>[]
    openEdge?: 'outboard' | 'inboard' | 'outer' | 'inner'
    largestGap?: number
    smallestGap?: number
    mismatch?: number
    diagonal?: boolean
  } | null
  if (!r?.leaves || r.diagonal) return null
  return {
    openEdge: r.openEdge ?? 'outer',
    largestGap: inMm(r.largestGap ?? 0),
    smallestGap: inMm(r.smallestGap ?? 0),
    mismatch: inMm(r.mismatch ?? 0),
    diagonal: false,
    leaves: r.leaves.map((l) => ({
      thickness: inMm(l.thickness),
      depth: toCore(l.depth, 'distance', session.units),
    })),
  }
})
const d = (x: number) => figure(x, 'displacement', session.units, { unit: true })
</script>

<template>
  <StepLeaves v-if="recipe" :recipe="recipe" :units="session.units" />
  <svg
    v-else-if="pack?.length"
    class="pack"
    viewBox="0 0 520 170"
    role="img"
    :aria-label="quickWords.packDrawn"
  >
    <g v-for="(l, i) in drawn" :key="i">
      <rect
        :class="{ kept: l.kept, peeled: l.peeled }"
        x="20"
        :y="l.y"
        width="220"
        :height="Math.max(1.5, l.h - 1.5)"
      />
      <text v-if="l.h >= 12" x="252" :y="l.y + l.h / 2 + 5">
        {{ d(l.thick) }}{{ l.kept ? quickWords.lies : '' }}
      </text>
    </g>
    <path d="M8 152H400" />
  </svg>
</template>

<style scoped>
.pack {
  display: block;
  width: 100%;
  max-width: 600px;
}
.pack rect {
  fill: var(--brass-on-dye);
}
.pack rect.kept {
  fill: var(--scribe-dim);
}
.pack rect.peeled {
  fill: none;
  stroke: var(--brass-on-dye);
  stroke-width: 1.5;
}
.pack text {
  fill: var(--scribe);
  font-size: 14px;
  font-family: var(--figures);
}
.pack path {
  stroke: var(--scribe-dim);
}
</style>
