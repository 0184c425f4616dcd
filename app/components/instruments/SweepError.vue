<script setup lang="ts">
import { drawError, ERROR_SHEET } from '~~/shared/stages/measure/sweepDrawing'
import { instrumentWords } from '~~/shared/wording/en/instruments'

/** What a longer arc is worth: the error of a sweep in times that of a full turn. */
const props = defineProps<{ arc: number; then: number | null }>()
const words = useWords()
const w = instrumentWords(words).sweep
const E = ERROR_SHEET
const drawn = computed(() => drawError(props.arc, props.then))
const t = (times: number) => times.toFixed(1)
const told = computed(() => (drawn.value.now ? w.errorNow(t(drawn.value.now.times)) : ''))
const then = computed(() =>
  drawn.value.then && props.then !== null
    ? w.errorThen(Math.round(props.then - props.arc), t(drawn.value.then.times))
    : '',
)
</script>

<template>
  <figure>
    <figcaption>{{ w.error }}</figcaption>
    <svg :viewBox="`0 0 ${E.width} ${E.height}`" role="img" :aria-label="`${w.error}: ${told} ${then}`">
      <path class="axis" :d="`M${E.left} ${E.top}V${E.bottom}H${E.right}`" />
      <text v-for="x in drawn.times" :key="x.text" :x="E.left - 6" :y="x.y + 4" text-anchor="end">
        {{ x.text }}
      </text>
      <text v-for="a in drawn.arcs" :key="a.text" :x="a.x" :y="E.bottom + 18" text-anchor="middle">
        {{ a.text }}
      </text>
      <path class="curve" :d="drawn.path" />
      <circle v-if="drawn.then" class="then" :cx="drawn.then.x" :cy="drawn.then.y" r="5" />
      <circle v-if="drawn.now" class="now" :cx="drawn.now.x" :cy="drawn.now.y" r="5" />
    </svg>
    <p>
      <b>{{ told }}</b> <span v-if="then" class="brass">{{ then }}</span>
    </p>
  </figure>
</template>

<style scoped>
figure {
  max-width: 360px;
  margin: 0;
}
figcaption {
  font-weight: 600;
}
svg {
  width: 100%;
}
text {
  font: 13px var(--figures);
  fill: var(--muted);
}
.axis {
  fill: none;
  stroke: var(--hairline);
}
.curve {
  fill: none;
  stroke: var(--dye);
  stroke-width: 2;
}
:root[data-bay='dim'] .curve {
  stroke: var(--scribe);
}
.now {
  fill: var(--dye);
}
:root[data-bay='dim'] .now {
  fill: var(--scribe);
}
.then {
  fill: var(--panel);
  stroke: var(--brass);
  stroke-width: 2.5;
}
.brass {
  color: var(--brass-press);
  font-weight: 600;
}
</style>
