<script setup lang="ts">
import { drawingsWords, drumWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { circleName } from '~~/shared/wording/circles'
import type { TramDial } from '~~/shared/stages/tram/asRead'

/** The boxes of one set where the rods stand: the rim's outside the drum, the face's inside. */
const props = defineProps<{
  positions: readonly number[]
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  ringed: Readonly<Record<string, readonly number[]>>
  notes: Readonly<Record<string, Readonly<Record<string, string>>>>
  place: (clock: number) => string
}>()
const emit = defineEmits<{
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
}>()
const telling = useTelling()
const w = computed(() => drawingsWords(telling.value.words))
const boxes = new Map<string, { focus: () => void }>()
const keep = (dial: TramDial, clock: number) => (el: unknown) => {
  const key = `${dial} ${clock}`
  if (el) boxes.set(key, el as { focus: () => void })
  else boxes.delete(key)
}
defineExpose({ focus: (circle: string, clock: number) => boxes.get(`${circle} ${clock}`)?.focus() })
const label = (dial: TramDial, clock: number) => {
  const reading = w.value.readingAt(circleName(dial, telling.value), props.place(clock))
  return props.ringed[dial]?.includes(clock) ? w.value.misfits(reading) : reading
}
const note = (dial: TramDial, clock: number) => {
  const before = props.ghost[dial]?.[String(clock)]
  return props.notes[dial]?.[String(clock)] || (before ? w.value.before(before) : '')
}
const ringed = computed(() =>
  (['rim', 'face'] as const).flatMap((dial) => (props.ringed[dial] ?? []).map((clock) => ({ dial, clock }))),
)
</script>

<template>
  <TramClock
    :clocks="positions"
    :zero="positions[0] ?? 90"
    :name="drumWords(telling.words).boxes"
    :ringed="ringed"
    class="board"
  >
    <template #box="{ dial, clock }">
      <NumberBox
        :ref="keep(dial, clock)"
        :model-value="texts[dial]?.[String(clock)] ?? ''"
        :label="label(dial, clock)"
        hide-label
        measure="displacement"
        :units="units"
        signed
        on-dye
        :big="dial === 'rim'"
        :note="note(dial, clock)"
        @update:model-value="emit('update:text', dial, clock, $event)"
        @enter="emit('enter', dial, clock)"
        @step="emit('step', dial, clock, $event)"
      />
    </template>
  </TramClock>
</template>

<style scoped>
.board :deep(.note) {
  font-size: 12px;
}
</style>
