<script setup lang="ts">
import type { Misalignment } from '~~/core/frame/planes'
import type { JobState } from '~~/core/logbook/foldJob'
import { layOutShafts, reachOf } from '~~/shared/drawing/shaftLines'

/** As found and as left in both views, to one scale, beside the gate. */
const props = defineProps<{
  state: JobState
  found: Misalignment | null
  left: Misalignment
  name?: string
}>()
const W = 336
const H = 262
const views = computed(() => {
  const feet = props.state.setUp?.feet ?? []
  if (feet.length === 0) return []
  return (['v', 'h'] as const).map((plane) => {
    const lines = [props.left, ...(props.found ? [props.found] : [])]
    const reach = Math.max(...lines.map((l) => reachOf(l, plane, feet, props.state.tolerance))) * 1.05
    const lay = (line: Misalignment) =>
      layOutShafts({ plane, line, feet, tolerance: props.state.tolerance, width: W, height: H, reach })
    return { plane, left: lay(props.left), found: props.found && lay(props.found) }
  })
})
</script>

<template>
  <div class="pair">
    <figure v-for="v in views" :key="v.plane">
      <figcaption>
        {{ v.plane === 'v' ? 'Side view' : 'Top view, 3 o’clock is up' }}
        <span>drawn {{ v.left.exaggeration }}×</span>
      </figcaption>
      <svg
        :viewBox="`0 0 ${W} ${H}`"
        role="img"
        :aria-label="`${v.plane === 'v' ? 'Side' : 'Top'} view, as found dashed, as left whole`"
      >
        <path :d="`M0 ${v.left.zero}H${v.left.coupling}`" stroke="#FFFFFF" stroke-width="2" />
        <path :d="`M${v.left.coupling} ${v.left.zero}H${W}`" stroke="#8F9AD6" stroke-dasharray="5 5" />
        <g v-if="v.left.gate" stroke="#58D3BE" stroke-width="1.6" fill="none">
          <path
            :d="`M${v.left.coupling - 7} ${v.left.gate.top}h14m-7 0v-7M${v.left.coupling - 7} ${v.left.gate.bottom}h14m-7 0v7`"
          />
        </g>
        <path
          v-if="v.found"
          :d="`M${v.found.movable.x1} ${v.found.movable.y1}L${v.found.movable.x2} ${v.found.movable.y2}`"
          stroke="#FF8FA3"
          stroke-width="2"
          stroke-dasharray="6 4"
        />
        <path
          :d="`M${v.left.movable.x1} ${v.left.movable.y1}L${v.left.movable.x2} ${v.left.movable.y2}`"
          stroke="#FFFFFF"
          stroke-width="2.5"
        />
        <circle v-for="f in v.left.feet" :key="f.id" :cx="f.x" :cy="f.y" r="4" fill="#FFFFFF" />
        <text
          v-if="v.found"
          :x="v.found.movable.x2 - 4"
          :y="v.found.movable.y2 + (v.found.movable.y2 > v.left.zero ? 16 : -8)"
          text-anchor="end"
          font-size="13"
          fill="#FF8FA3"
        >
          as found
        </text>
        <text
          :x="v.left.movable.x2 - 4"
          :y="v.left.movable.y2 + (v.found && v.found.movable.y2 > v.left.zero ? -8 : 18)"
          text-anchor="end"
          font-size="13"
          fill="#FFFFFF"
        >
          {{ name ?? 'as left' }}
        </text>
      </svg>
    </figure>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  margin-top: 22px;
}
figure {
  margin: 0;
}
figcaption {
  display: flex;
  justify-content: space-between;
  color: #fff;
}
figcaption span {
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
