<script setup lang="ts">
import type { Dial } from '~~/core/logbook/setUp'
import { clockName } from '~~/shared/wording/directions'

/** One dial at the four quarters: its face, and a box at each position. */
const props = defineProps<{
  dial: Dial
  texts: Record<string, string>
  units: 'inch' | 'metric'
  /** The earlier set at these positions, to repeat against. */
  ghost: Readonly<Record<string, string>>
  /** Positions that misfit. */
  ringed: readonly number[]
  notes: Readonly<Record<string, string>>
  values: Readonly<Record<string, number | null>>
}>()
const emit = defineEmits<{
  'update:text': [clock: number, text: string]
  enter: [clock: number]
  step: [clock: number, by: 1 | -1]
}>()

const POSITIONS = [
  { clock: 0, area: 'top' },
  { clock: 90, area: 'right' },
  { clock: 180, area: 'bottom' },
  { clock: 270, area: 'left' },
] as const
const boxes = useTemplateRef<{ focus: () => void }[]>('boxes')
const focused = ref(0)
const focus = (clock: number) => boxes.value?.[POSITIONS.findIndex((p) => p.clock === clock)]?.focus()
defineExpose({ focus })
const title = computed(() => (props.dial === 'rim' ? 'Rim' : 'Face'))
</script>

<template>
  <div class="pad" role="group" :aria-label="`${title} dial`">
    <DialFace class="face" :name="title" :value="values[String(focused)] ?? null" :units="units" />
    <div
      v-for="p in POSITIONS"
      :key="p.clock"
      :class="['at', p.area, { ringed: ringed.includes(p.clock) }]"
      @focusin="focused = p.clock"
    >
      <span class="hour figure" aria-hidden="true">{{ clockName(p.clock).replace(' o’clock', '') }}</span>
      <NumberBox
        ref="boxes"
        :model-value="texts[String(p.clock)] ?? ''"
        :label="`${title} at ${clockName(p.clock)}${ringed.includes(p.clock) ? ', misfits' : ''}`"
        hide-label
        measure="displacement"
        :units="units"
        signed
        on-dye
        big
        :note="notes[String(p.clock)] || (ghost[String(p.clock)] ? `before ${ghost[String(p.clock)]}` : '')"
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
  grid-template-columns: minmax(88px, 1fr) minmax(110px, 156px) minmax(88px, 1fr);
  grid-template-areas: '. top .' 'left face right' '. bottom .';
  gap: 10px 8px;
  align-items: center;
  justify-items: center;
}
.face {
  grid-area: face;
}
.at {
  position: relative;
  width: 100%;
  max-width: 104px;
  min-height: 66px;
}
.top {
  grid-area: top;
  align-self: end;
}
.right {
  grid-area: right;
}
.bottom {
  grid-area: bottom;
  align-self: start;
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
  white-space: nowrap;
}
.ringed :deep(.field) {
  border: 2px solid var(--out-on-dye);
  box-shadow: 0 0 0 3px color-mix(in srgb, var(--out-on-dye) 35%, transparent);
}
</style>
