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
const foundCalled = computed(() => props.foundName ?? w.asFound)
/** A letter of a label is about so wide. */
const LETTER = 6.6
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
    // Each label on its line's own side, clear of both lines over its whole length: they may cross.
    const foundAbove = found !== null && found.movable.y2 < left.movable.y2
    const along = (name: string) => W - 4 - name.length * LETTER
    const heights = (from: number) =>
      [left, ...(found ? [found] : [])].flatMap(({ movable: m }) => {
        const slope = (m.y2 - m.y1) / (m.x2 - m.x1)
        return [m.y2, m.y1 + slope * (Math.max(from, m.x1) - m.x1)]
      })
    const above = (name: string) => Math.max(16, Math.min(...heights(along(name))) - 10)
    const below = (name: string) => Math.min(H - 6, Math.max(...heights(along(name))) + 20)
    const leftBelow = found === null || foundAbove
    return {
      plane,
      left,
      found,
      leftAt: (leftBelow ? below : above)(whole.value),
      foundAt: (foundAbove ? above : below)(foundCalled.value),
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
          <text v-if="v.found" :x="W - 4" :y="v.foundAt" fill="#DCE3FF">{{ foundCalled }}</text>
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
