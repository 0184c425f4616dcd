<script setup lang="ts">
import { drawingsWords } from '~~/shared/wording/en'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { seenClock } from '~~/shared/wording/otherEnd'

/** One dial at the four quarters: its face, and a box at each position. */
const props = defineProps<{
  name: string
  texts: Readonly<Record<string, string>>
  units: UnitSystem
  /** The earlier set at these positions, to repeat against. */
  ghost: Readonly<Record<string, string>>
  /** Positions that misfit. */
  ringed: readonly number[]
  notes: Readonly<Record<string, string>>
  /** Quarters that are read. */
  positions: readonly number[]
  value: (clock: number) => number | null
}>()
const emit = defineEmits<{
  'update:text': [clock: number, text: string]
  enter: [clock: number]
  step: [clock: number, by: 1 | -1]
}>()

/** Where each stored position stands, and what it is called, from where one looks. */
const POSITIONS = ([0, 90, 180, 270] as const).map((clock) => {
  const seen = seenClock(clock, useOtherEnd() ? 'stationary' : 'movable')
  return {
    clock,
    area: { 0: 'top', 90: 'right', 180: 'bottom', 270: 'left' }[seen] ?? '',
    hour: { 0: '12', 90: '3', 180: '6', 270: '9' }[seen] ?? '',
  }
})
const words = useWords()
const w = drawingsWords(words)
const label = ({ clock, hour }: (typeof POSITIONS)[number]) => {
  const reading = w.readingAt(props.name, w.oclock(hour))
  return props.ringed.includes(clock) ? w.misfits(reading) : reading
}
const shown = computed(() => POSITIONS.filter((p) => props.positions.includes(p.clock)))
const boxes = useTemplateRef<{ focus: () => void }[]>('boxes')
const focused = ref(0)
const focus = (clock: number) => boxes.value?.[shown.value.findIndex((p) => p.clock === clock)]?.focus()
defineExpose({ focus })
const note = (clock: number) =>
  props.notes[String(clock)] || (props.ghost[String(clock)] ? w.before(props.ghost[String(clock)]!) : '')
</script>

<template>
  <div class="pad" role="group" :aria-label="w.dialOf(name)">
    <DialFace class="face" :name="name" :value="value(focused)" :units="units" />
    <div
      v-for="p in shown"
      :key="p.clock"
      v-memo="[name, units, texts[String(p.clock)], ringed.includes(p.clock), note(p.clock)]"
      :class="['at', p.area, { ringed: ringed.includes(p.clock) }]"
      @focusin="focused = p.clock"
    >
      <span class="hour figure" aria-hidden="true">{{ p.hour }}</span>
      <NumberBox
        ref="boxes"
        :model-value="texts[String(p.clock)] ?? ''"
        :label="label(p)"
        hide-label
        measure="displacement"
        :units="units"
        signed
        on-dye
        big
        :note="note(p.clock)"
        @update:model-value="emit('update:text', p.clock, $event)"
        @enter="emit('enter', p.clock)"
        @step="emit('step', p.clock, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(96px, 1fr) minmax(88px, 132px) minmax(96px, 1fr);
  grid-template-areas: '. top .' 'left face right' '. bottom .';
  gap: 10px 6px;
  align-items: center;
  justify-items: center;
}
.face {
  grid-area: face;
}
.at {
  position: relative;
  width: 100%;
  max-width: 116px;
  min-height: 66px;
}
.top {
  grid-area: top;
  align-self: end;
  min-width: 112px;
}
.right {
  grid-area: right;
}
.bottom {
  grid-area: bottom;
  align-self: start;
  min-width: 112px;
}
.left {
  grid-area: left;
}
.hour {
  position: absolute;
  color: var(--scribe-dim);
}
.top .hour,
.bottom .hour {
  right: calc(100% + 8px);
  top: 10px;
}
.left .hour,
.right .hour {
  bottom: calc(100% + 2px);
  left: 50%;
  translate: -50%;
}
.at :deep(.note) {
  text-align: right;
}
.ringed :deep(.el-input__wrapper) {
  box-shadow:
    0 0 0 2px var(--out-on-dye) inset,
    0 0 0 3px color-mix(in srgb, var(--out-on-dye) 35%, transparent);
}
</style>
