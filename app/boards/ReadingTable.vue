<script setup lang="ts">
import { normalClock } from '~~/core/frame/clock'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { typedValue } from '~~/shared/forms/typed'

/** The readings as rows: for any list of positions, and for people who prefer a table. */
const props = defineProps<{
  positions: readonly number[]
  circles: readonly { readonly id: string; readonly name: string }[]
  texts: Readonly<Record<string, Readonly<Record<string, string>>>>
  units: UnitSystem
  ghost: Readonly<Record<string, Readonly<Record<string, string>>>>
  clockName: (clock: number) => string
  /** These places and no others. */
  fixed?: boolean
}>()
const emit = defineEmits<{
  positions: [clocks: number[]]
  'update:text': [circle: string, clock: number, text: string]
  enter: [circle: string, clock: number]
  step: [circle: string, clock: number, by: 1 | -1]
}>()
const {
  measuring: { view: w },
  drawings,
  tables,
} = useWords()
const before = (circle: string, clock: number) => {
  const was = props.ghost[circle]?.[String(clock)]
  return was ? drawings.before(was) : ''
}
const boxes = new Map<string, { focus: () => void }>()
const keep = (key: string) => (el: unknown) => {
  if (el) boxes.set(key, el as { focus: () => void })
  else boxes.delete(key)
}
defineExpose({ focus: (circle: string, clock: number) => boxes.get(`${circle}@${clock}`)?.focus() })

const added = ref('')
const addedFault = ref('')
const add = () => {
  const typed = typedValue(added.value, 'plain', props.units)
  if (typed === null || typed < 0 || typed > 360) {
    addedFault.value = w.clockAngle
    return
  }
  const clock = normalClock(typed)
  if (props.positions.includes(clock)) {
    addedFault.value = w.positionThere
    return
  }
  addedFault.value = ''
  added.value = ''
  const [first = 0, ...rest] = props.positions
  emit('positions', [
    first,
    ...[...rest, clock].sort((a, b) => normalClock(a - first) - normalClock(b - first)),
  ])
}
const remove = (clock: number) =>
  emit(
    'positions',
    props.positions.filter((c) => c !== clock),
  )
</script>

<template>
  <div class="wrap">
    <FigureTable :head="[tables.position, ...circles.map((c) => c.name), '']" on-dye>
      <tr v-for="clock in positions" :key="clock">
        <td>{{ clockName(clock) }}</td>
        <td v-for="c in circles" :key="c.id">
          <NumberBox
            :ref="keep(`${c.id}@${clock}`)"
            :model-value="texts[c.id]?.[String(clock)] ?? ''"
            :label="drawings.readingAt(c.name, clockName(clock))"
            hide-label
            measure="displacement"
            :units="units"
            signed
            on-dye
            :note="before(c.id, clock)"
            @update:model-value="emit('update:text', c.id, clock, $event)"
            @enter="emit('enter', c.id, clock)"
            @step="emit('step', c.id, clock, $event)"
          />
        </td>
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
    <div v-if="!fixed" class="positions">
      <NumberBox
        v-model="added"
        :label="w.anotherPosition"
        measure="plain"
        :units="units"
        on-dye
        :note="addedFault"
        :note-is-fault="!!addedFault"
        @enter="add"
      />
      <el-button class="dye-button" @click="add">{{ w.addPosition }}</el-button>
      <el-button class="dye-button" @click="emit('positions', [0, 90, 180, 270])">{{ w.four }}</el-button>
      <el-button class="dye-button" @click="emit('positions', [0, 45, 90, 135, 180, 225, 270, 315])">
        {{ w.eight }}
      </el-button>
    </div>
  </div>
</template>

<style scoped>
.wrap {
  overflow: auto;
  min-height: 0;
}
.positions {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  padding: 8px 10px;
}
</style>
