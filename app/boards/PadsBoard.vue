<script setup lang="ts">
import type { UnitSystem } from '~~/core/units/unitSystem'

/** A dial at the four quarters for each circle that is read, side by side. */
const props = defineProps<{
  positions: readonly number[]
  circles: readonly { readonly id: string; readonly name: string }[]
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  ringed: Readonly<Record<string, readonly number[]>>
  notes: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** Where the dial of a circle stands when the first one stands at this clock. */
  ownClock: (circle: string, clock: number) => number
  value: (circle: string, clock: number) => number | null
}>()
const emit = defineEmits<{
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
}>()
const pads = useTemplateRef<{ focus: (clock: number) => void }[]>('pads')
defineExpose({
  focus: (circle: string, clock: number) =>
    pads.value?.[props.circles.findIndex((c) => c.id === circle)]?.focus(clock),
})
</script>

<template>
  <div class="pads">
    <ClockPad
      v-for="c in circles"
      :key="c.id"
      ref="pads"
      :name="c.name"
      :texts="texts[c.id] ?? {}"
      :units="units"
      :ghost="ghost[c.id] ?? {}"
      :ringed="ringed[c.id] ?? []"
      :notes="notes[c.id] ?? {}"
      :positions="positions.map((p) => ownClock(c.id, p))"
      :value="(clock) => value(c.id, clock)"
      @update:text="(clock, text) => emit('update:text', c.id, clock, text)"
      @enter="emit('enter', c.id, $event)"
      @step="(clock, by) => emit('step', c.id, clock, by)"
    />
  </div>
</template>

<style scoped>
.pads {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 14px;
  padding-top: 8px;
}
@container (max-width: 660px) {
  .pads {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 1160px) and (min-width: 861px), (max-width: 640px) {
  .pads {
    grid-template-columns: 1fr;
    justify-items: center;
  }
}
</style>
