<script setup lang="ts">
import { levelWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { TURN, type DrawnTurn } from '~~/shared/stages/level/drawing'
import { clockFace } from '~~/shared/wording/clockFace'

/** A hub turned under a fixed dial: a box at each mark, the true circle, the fitted curve round it, the high spot. */
const props = defineProps<{
  marks: readonly number[]
  values: Readonly<Record<string, string>>
  turn: DrawnTurn
  faults: Readonly<Record<string, string>>
  name: string
  units: UnitSystem
  locked: boolean
}>()
const emit = defineEmits<{ value: [clock: number, text: string]; enter: [clock: number] }>()
const words = useWords()
const w = levelWords(words)
const middle = TURN.size / 2
/** Where a mark's box stands, in percent of the board. */
const place = (clock: number) => {
  const a = (clock * Math.PI) / 180
  return { left: `${50 + 41 * Math.sin(a)}%`, top: `${50 - 44 * Math.cos(a)}%` }
}
const board = useTemplateRef<HTMLElement>('board')
defineExpose({
  focus: (clock: number) => board.value?.querySelector<HTMLElement>(`[data-mark="${clock}"] input`)?.focus(),
})
const tick = (clock: number) => `rotate(${clock} ${middle} ${middle})`
const label = computed(() => `${props.name}`)
</script>

<template>
  <div ref="board" class="turned">
    <svg :viewBox="`0 0 ${TURN.size} ${TURN.size}`" role="img" :aria-label="label">
      <circle class="hub" :cx="middle" :cy="middle" :r="TURN.radius" />
      <path
        v-for="m in marks"
        :key="m"
        class="tick"
        :d="`M${middle} ${middle - TURN.radius - 4}v-9`"
        :transform="tick(m)"
      />
      <path v-if="turn.path" class="fitted" :d="`${turn.path}Z`" />
      <circle v-for="d in turn.dots" :key="d.clock" class="dot" :cx="d.x" :cy="d.y" r="4" />
      <g v-if="turn.high">
        <path class="strike" :d="`M${middle} ${middle}L${turn.high.x} ${turn.high.y}`" />
        <text
          class="high"
          :x="middle + (turn.high.x - middle) * 0.55"
          :y="middle + (turn.high.y - middle) * 0.55 + 5"
        >
          {{ w.view.high }}
        </text>
      </g>
      <circle class="shaft" :cx="middle" :cy="middle" r="14" />
    </svg>
    <div v-for="m in marks" :key="m" class="mark" :data-mark="m" :style="place(m)">
      <span aria-hidden="true">{{ clockFace(m) }}</span>
      <NumberBox
        :model-value="values[m] ?? ''"
        :label="w.view.at(clockFace(m))"
        hide-label
        on-dye
        signed
        measure="displacement"
        :units="units"
        :disabled="locked"
        :note="faults[`value.${m}`] ?? ''"
        :note-is-fault="`value.${m}` in faults"
        @update:model-value="emit('value', m, $event)"
        @enter="emit('enter', m)"
      />
    </div>
  </div>
</template>

<style scoped>
.turned {
  position: relative;
  flex: 1 1 420px;
  min-height: 470px;
  max-width: 660px;
  margin: 0 auto;
  width: 100%;
}
.turned > svg {
  position: absolute;
  inset: 14% 18%;
  width: 64%;
  height: 72%;
}
.mark {
  position: absolute;
  width: 116px;
  transform: translate(-50%, -50%);
  display: grid;
}
.mark > span {
  color: var(--scribe-dim);
  font-family: var(--figures);
}
.hub {
  fill: #24296a;
  stroke: var(--scribe-dim);
  stroke-dasharray: 5 4;
}
.shaft {
  fill: var(--dye-deep);
  stroke: var(--scribe);
}
.tick {
  stroke: var(--scribe);
  stroke-width: 2;
}
.fitted {
  fill: none;
  stroke: #fff;
  stroke-width: 2.4;
}
.dot {
  fill: var(--scribe);
}
.strike {
  stroke: var(--brass-on-dye);
  stroke-width: 3;
}
.high {
  fill: var(--brass-on-dye);
  font-size: 14px;
  text-anchor: middle;
  paint-order: stroke;
  stroke: #24296a;
  stroke-width: 5;
}
@media (max-width: 640px) {
  .turned {
    flex: none;
    min-height: 0;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px 14px;
  }
  .turned > svg {
    position: static;
    grid-column: 1 / -1;
    width: 100%;
    height: 240px;
  }
  .mark {
    position: static;
    transform: none;
    width: auto;
    grid-template-columns: 44px minmax(0, 1fr);
    align-items: center;
  }
}
</style>
