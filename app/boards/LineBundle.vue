<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { FootPlane } from '~~/core/coupling/feet'
import type { Plane } from '~~/core/frame/planes'
import type { SettledTolerance } from '~~/core/judge/tolerance'
import { BUNDLE_VIEW, drawBundle, type NamedLine } from '~~/shared/drawing/lineBundle'

/** Lines of one shaft over one another in both views: cold and hot, and where it is to be set. */
const props = defineProps<{
  lines: readonly NamedLine[]
  feet: readonly FootPlane[]
  tolerance: SettledTolerance
  /** Nothing is judged here: no gate is drawn. */
  gateless?: boolean
}>()
defineSlots<{ default: (of: { plane: Plane }) => unknown }>()
const words = useWords()
const w = drawingsWords(words)
const { width: W, height: H } = BUNDLE_VIEW
/** Room for the names, beside the lines. */
const NAMES = 156
const drawn = computed(() => drawBundle(props.lines, props.feet, props.tolerance))
const named = computed(() => props.lines.map((l) => l.name).join(', '))
</script>

<template>
  <div class="pair">
    <figure v-for="v in drawn" :key="v.plane">
      <figcaption>
        {{ w.overlaid[v.plane] }}
        <span>{{ w.exaggerated(v.sheet.exaggeration) }}</span>
      </figcaption>
      <svg :viewBox="`0 0 ${W + NAMES} ${H}`" role="img" :aria-label="w.overlaidTold(v.plane, named)">
        <ShaftGround :laid="v.sheet" :width="W" :gateless="gateless" />
        <g v-for="l in v.lines" :key="l.name" :class="l.look">
          <path :d="`M${l.drawn.x1} ${l.drawn.y1}L${l.drawn.x2} ${l.drawn.y2}`" />
          <circle v-for="f in l.feet" :key="f.id" :cx="f.x" :cy="f.y" r="3.6" />
        </g>
        <g font-size="20">
          <text v-for="l in v.lines" :key="l.name" :x="W + 6" :y="l.nameY" :class="l.look">{{ l.name }}</text>
        </g>
      </svg>
      <slot :plane="v.plane" />
    </figure>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
figure {
  margin: 0;
  min-width: 0;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0 12px;
  color: #fff;
}
figcaption span {
  color: var(--scribe-dim);
  font-size: 14px;
}
svg {
  display: block;
  width: 100%;
}
.now path {
  stroke: #fff;
  stroke-width: 2.6;
}
.now circle,
text.now {
  fill: #fff;
}
.before path {
  stroke: var(--scribe-dim);
  stroke-width: 1.8;
  stroke-dasharray: 6 4;
}
.before circle,
text.before {
  fill: var(--scribe-dim);
}
.aim path {
  stroke: var(--brass-on-dye);
  stroke-width: 2;
  stroke-dasharray: 8 5;
}
.aim circle,
text.aim {
  fill: var(--brass-on-dye);
}
@media (max-width: 640px) {
  .pair {
    grid-template-columns: 1fr;
  }
}
</style>
