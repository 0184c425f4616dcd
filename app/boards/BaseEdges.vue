<script setup lang="ts">
import { lookWords } from '~~/shared/wording/en'
import { BASE_CORNERS, type BaseCorner } from '~~/core/stages/look/base'
import { BASE_EDGES, type BaseEdge } from '~~/core/stages/look/entries'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { LookTexts } from '~~/shared/stages/look/form'

/** A base from above with a level along each of its four edges; at its corners what goes under them. */
const props = defineProps<{
  texts: LookTexts['base']
  faults: Readonly<Record<string, string>>
  /** Shim words by corner; null while nothing is worked out. */
  corners: Readonly<Record<BaseCorner, string>> | null
  /** The slope along each edge as words, empty while it isn't read. */
  slopes: Readonly<Record<BaseEdge, string>>
  units: UnitSystem
  locked: boolean
}>()
const emit = defineEmits<{
  text: [edge: BaseEdge, box: 'feeler' | 'divisions' | 'reversed', text: string]
  low: [edge: BaseEdge, end: 'near' | 'far']
  enter: [edge: BaseEdge]
}>()
const words = useWords()
const w = lookWords(words)
const otherEnd = useOtherEnd()
const along = (edge: BaseEdge) => edge === 'left' || edge === 'right'
const board = useTemplateRef<HTMLElement>('board')
defineExpose({
  focus: (edge: BaseEdge) =>
    board.value?.querySelector<HTMLInputElement>(`[data-edge="${edge}"] input`)?.focus(),
})
const box = (edge: BaseEdge, which: 'feeler' | 'divisions' | 'reversed') => ({
  modelValue: props.texts.edges[edge][which],
  onDye: true,
  units: props.units,
  disabled: props.locked,
  measure: which === 'feeler' ? ('displacement' as const) : ('plain' as const),
  signed: which !== 'feeler',
  note: props.faults[`${which}.${edge}`] ?? '',
  noteIsFault: `${which}.${edge}` in props.faults,
  'onUpdate:modelValue': (text: string) => emit('text', edge, which, text),
  onEnter: () => emit('enter', edge),
})
</script>

<template>
  <div ref="board" class="base" :class="{ 'other-end': otherEnd }">
    <p v-for="c in BASE_CORNERS" :key="c" class="corner" :class="c">
      <span>{{ w.corners[c] }}</span>
      <strong v-if="corners" class="figure">{{ corners[c] }}</strong>
    </p>
    <section v-for="edge in BASE_EDGES" :key="edge" class="edge" :class="edge" :data-edge="edge">
      <template v-if="texts.by === 'feeler'">
        <NumberBox v-bind="box(edge, 'feeler')" :label="w.view.feeler(w.edges[edge])" />
        <ChoiceRow
          :model-value="texts.edges[edge].low"
          :label="w.view.low(w.edges[edge])"
          on-dye
          :disabled="locked"
          :options="
            (['near', 'far'] as const).map((value) => ({
              value,
              name: (along(edge) ? w.view.lowsAlong : w.view.lowsAcross)[value],
            }))
          "
          @update:model-value="emit('low', edge, $event)"
        />
      </template>
      <template v-else>
        <NumberBox
          v-bind="box(edge, 'divisions')"
          :label="along(edge) ? w.view.divisionsAlong(w.edges[edge]) : w.view.divisionsAcross(w.edges[edge])"
        />
        <NumberBox v-bind="box(edge, 'reversed')" :label="w.view.reversed(w.edges[edge])" />
      </template>
      <p class="slope figure">{{ slopes[edge] }}</p>
    </section>
    <div class="middle"><slot /></div>
  </div>
</template>

<style scoped>
.base {
  display: grid;
  grid-template:
    'a coupling b' auto
    'left middle right' auto
    'c far d' auto / minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 14px;
  margin-top: 10px;
}
/* Turned half round. */
.other-end {
  grid-template-areas: 'd far c' 'right middle left' 'b coupling a';
}
.middle {
  grid-area: middle;
  display: grid;
  gap: 8px;
  align-content: center;
  padding: 12px;
  border: 2px solid var(--scribe-dim);
  border-radius: 3px;
}
.edge {
  min-width: 0;
  display: grid;
  gap: 6px;
  align-content: center;
}
.edge.left {
  grid-area: left;
}
.edge.right {
  grid-area: right;
}
.edge.coupling {
  grid-area: coupling;
}
.edge.far {
  grid-area: far;
}
.slope {
  color: var(--scribe);
  min-height: 20px;
}
.corner {
  display: grid;
  align-content: center;
  justify-items: center;
  text-align: center;
  padding: 8px;
  border: 1px dashed var(--dye-line);
  border-radius: 4px;
  font-size: 14px;
  color: var(--scribe-dim);
}
.corner strong {
  font-size: 20px;
  color: var(--brass-on-dye);
  font-weight: 600;
}
.coupling-left {
  grid-area: a;
}
.coupling-right {
  grid-area: b;
}
.far-left {
  grid-area: c;
}
.far-right {
  grid-area: d;
}
@media (max-width: 640px) {
  .base {
    grid-template: none;
    grid-template-columns: 1fr 1fr;
  }
  .edge,
  .corner {
    grid-area: auto !important;
  }
  .edge {
    grid-column: 1 / -1 !important;
  }
  .middle {
    grid-area: auto;
    grid-column: 1 / -1;
  }
}
</style>
