<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { FootPlane } from '~~/core/coupling/feet'
import { PLANES, type Misalignment } from '~~/core/frame/planes'
import type { SettledTolerance } from '~~/core/judge/tolerance'
import { fittingExaggeration, layOutShafts } from '~~/shared/drawing/shaftLines'

/** As found and as left in both views, to one exaggeration, beside the gate. */
const props = defineProps<{
  feet: readonly FootPlane[]
  tolerance: SettledTolerance
  /** Where it is to lie cold. */
  target?: Misalignment
  found: Misalignment | null
  left: Misalignment
  /** What the whole line is called: as left when nothing is said. */
  name?: string
  /** What the other line is called: as found when nothing is said. */
  foundName?: string
  /** Nothing is judged here: no gate is drawn. */
  gateless?: boolean
}>()
const words = useWords()
const w = drawingsWords(words)
const whole = computed(() => props.name ?? w.asLeft)
const W = 336
const H = 240
const drawn = computed(() => {
  const lines = [props.left, ...(props.found ? [props.found] : [])]
  const sheet = {
    feet: props.feet,
    tolerance: props.tolerance,
    target: props.target,
    width: W,
    height: H,
  }
  const exaggeration = fittingExaggeration({ ...sheet, lines, planes: PLANES })
  return PLANES.map((plane) => {
    const lay = (line: Misalignment) => layOutShafts({ ...sheet, plane, line, exaggeration })
    const left = lay(props.left)
    const found = props.found && lay(props.found)
    // Each label on the outer side of its line; when the lines all but meet they would lie on one another.
    const foundAbove = found !== null && found.movable.y2 < left.movable.y2
    const clamp = (y: number) => Math.min(H - 6, Math.max(16, y))
    const leftAt = clamp(left.movable.y2 + (found === null || foundAbove ? 20 : -10))
    const foundAt = found && clamp(found.movable.y2 + (foundAbove ? -10 : 20))
    const apart = foundAt !== null && Math.abs(foundAt - leftAt) < 16
    return {
      plane,
      left,
      found,
      leftAt,
      foundAt: foundAt === null ? 0 : apart ? clamp(leftAt + (foundAbove ? -34 : 34)) : foundAt,
    }
  })
})
</script>

<template>
  <div class="pair">
    <figure v-for="v in drawn" :key="v.plane">
      <figcaption>
        {{ w.overlaid[v.plane] }}
        <span>{{ w.exaggerated(v.left.exaggeration) }}</span>
      </figcaption>
      <svg :viewBox="`0 0 ${W} ${H}`" role="img" :aria-label="w.overlaidTold(v.plane, whole)">
        <ShaftGround :laid="v.left" :width="W" :gateless="gateless" />
        <path
          v-if="v.left.target"
          :d="`M${v.left.target.x1} ${v.left.target.y1}L${v.left.target.x2} ${v.left.target.y2}`"
          stroke="#DCE3FF"
          stroke-width="1.4"
          stroke-dasharray="2 5"
        />
        <path
          v-if="v.found"
          :d="`M${v.found.movable.x1} ${v.found.movable.y1}L${v.found.movable.x2} ${v.found.movable.y2}`"
          stroke="#DCE3FF"
          stroke-width="1.8"
          stroke-dasharray="6 4"
        />
        <path
          :d="`M${v.left.movable.x1} ${v.left.movable.y1}L${v.left.movable.x2} ${v.left.movable.y2}`"
          stroke="#FFFFFF"
          stroke-width="2.6"
        />
        <circle v-for="f in v.left.feet" :key="f.id" :cx="f.x" :cy="f.y" r="4" fill="#FFFFFF" />
        <g font-size="13" text-anchor="end" paint-order="stroke" stroke="#1F2358" stroke-width="4">
          <text v-if="v.found" :x="W - 4" :y="v.foundAt" fill="#DCE3FF">{{ foundName ?? w.asFound }}</text>
          <text :x="W - 4" :y="v.leftAt" fill="#FFFFFF">{{ whole }}</text>
        </g>
      </svg>
    </figure>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
  margin-top: 18px;
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
@media (max-width: 640px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
