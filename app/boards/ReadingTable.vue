<script setup lang="ts">
import { directionsWords, drawingsWords, measuringWords, tablesWords } from '~~/shared/wording/en'
import { seenClock } from '~~/shared/wording/otherEnd'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** The readings as rows: for any list of positions, and for people who prefer a table. */
const props = defineProps<{
  positions: readonly number[]
  circles: readonly { readonly id: string; readonly name: string }[]
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  clockName: (clock: number) => string
  ringed: Readonly<Record<string, readonly number[]>>
  notes: Readonly<Record<string, Readonly<Record<string, string>>>>
  /** These places and no others. */
  fixed?: boolean
  /** Angles that each instrument tells of itself, by circle and stop; null where they share their stop's. */
  angles: Readonly<Record<string, Readonly<Record<string, string>>>> | null
  /** Stops whose own angle can't be read. */
  unclear: Readonly<Record<string, readonly number[]>>
}>()
const emit = defineEmits<{
  positions: [clocks: number[]]
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
  angle: [circle: string, stop: number, text: string]
}>()
const words = useWords()
const w = measuringWords(words).view
const directions = directionsWords(words)
const drawings = drawingsWords(words)
const tables = tablesWords(words)
const from = useOtherEnd() ? 'stationary' : 'movable'
const note = (circle: string, clock: number) => {
  const was = props.ghost[circle]?.[String(clock)]
  return props.notes[circle]?.[String(clock)] ?? (was ? drawings.before(was) : '')
}
const label = (c: { readonly id: string; readonly name: string }, clock: number) => {
  const reading = (props.fixed ? drawings.valueIn : drawings.readingAt)(c.name, props.clockName(clock))
  return props.ringed[c.id]?.includes(clock) ? drawings.misfits(reading) : reading
}
const head = computed(() => [
  tables.position,
  ...props.circles.flatMap((c) => (props.angles ? [w.angleOf(c.name), c.name] : [c.name])),
  '',
])
const boxes = new Map<string, { focus: () => void }>()
const keep = (key: string) => (el: unknown) => {
  if (el) boxes.set(key, el as { focus: () => void })
  else boxes.delete(key)
}
defineExpose({ focus: (circle: string, clock: number) => boxes.get(`${circle}@${clock}`)?.focus() })

const remove = (clock: number) =>
  emit(
    'positions',
    props.positions.filter((c) => c !== clock),
  )
</script>

<template>
  <div class="wrap">
    <FigureTable :head="head" on-dye>
      <tr v-for="clock in positions" :key="clock">
        <td>{{ clockName(clock) }}</td>
        <template v-for="c in circles" :key="c.id">
          <td v-if="angles">
            <NumberBox
              :model-value="angles[c.id]?.[String(clock)] ?? ''"
              :label="w.angleAt(c.name, clockName(clock))"
              hide-label
              measure="plain"
              :units="units"
              on-dye
              :placeholder="directions.degrees(seenClock(clock, from))"
              :note="unclear[c.id]?.includes(clock) ? w.clockAngle : ''"
              :note-is-fault="unclear[c.id]?.includes(clock) ?? false"
              @update:model-value="emit('angle', c.id, clock, $event)"
              @enter="boxes.get(`${c.id}@${clock}`)?.focus()"
            />
          </td>
          <td :class="{ ringed: ringed[c.id]?.includes(clock) }">
            <NumberBox
              :ref="keep(`${c.id}@${clock}`)"
              :model-value="texts[c.id]?.[String(clock)] ?? ''"
              :label="label(c, clock)"
              hide-label
              measure="displacement"
              :units="units"
              signed
              on-dye
              :note="note(c.id, clock)"
              @update:model-value="emit('update:text', c.id, clock, $event)"
              @enter="emit('enter', c.id, clock)"
              @step="emit('step', c.id, clock, $event)"
            />
          </td>
        </template>
        <td>
          <el-button
            v-if="!fixed && positions.length > 3"
            link
            class="text-button"
            :aria-label="w.removePosition(clockName(clock))"
            @click="remove(clock)"
          >
            {{ w.remove }}
          </el-button>
        </td>
      </tr>
    </FigureTable>
  </div>
</template>

<style scoped>
.wrap {
  flex: none;
  overflow-x: auto;
}
.ringed :deep(.el-input__wrapper) {
  box-shadow: 0 0 0 2px var(--out-on-dye) inset;
}
</style>
