<script setup lang="ts">
import { DIALS, type Dial } from '~~/core/logbook/setUp'
import { normalClock } from '~~/core/frame/clock'
import { readTypedNumber } from '~~/core/units/typedNumber'
import { clockName } from '~~/shared/wording/directions'
import type { ReadingForm } from '~/composables/useReadingForm'

/** The readings as a table: for any list of positions, and for people who prefer rows. */
const props = defineProps<{
  form: ReadingForm
  units: 'inch' | 'metric'
  ghost: Readonly<Record<Dial, Readonly<Record<string, string>>>>
}>()
const emit = defineEmits<{
  positions: [clocks: number[]]
  'update:text': [dial: Dial, clock: number, text: string]
  enter: [dial: Dial, clock: number]
  step: [dial: Dial, clock: number, by: 1 | -1]
}>()
const boxes = useTemplateRef<{ focus: () => void }[]>('boxes')
const order = computed(() => props.form.positions.flatMap((clock) => DIALS.map((dial) => ({ dial, clock }))))
defineExpose({
  focus: (dial: Dial, clock: number) =>
    boxes.value?.[order.value.findIndex((o) => o.dial === dial && o.clock === clock)]?.focus(),
})

const added = ref('')
const addedFault = ref('')
const add = () => {
  const read = readTypedNumber(added.value, 'plain', props.units)
  if (!read.ok || read.value < 0 || read.value > 360) {
    addedFault.value = 'Give a clock angle from 0 to 360 degrees.'
    return
  }
  const clock = normalClock(read.value)
  if (props.form.positions.includes(clock)) {
    addedFault.value = 'That position is in the list.'
    return
  }
  addedFault.value = ''
  added.value = ''
  const [first = 0, ...rest] = props.form.positions
  emit('positions', [
    first,
    ...[...rest, clock].sort((a, b) => normalClock(a - first) - normalClock(b - first)),
  ])
}
const remove = (clock: number) =>
  emit(
    'positions',
    props.form.positions.filter((c) => c !== clock),
  )
</script>

<template>
  <div class="wrap">
    <table>
      <thead>
        <tr>
          <th scope="col">Position</th>
          <th scope="col">Rim</th>
          <th scope="col">Face</th>
          <th><span class="visually-hidden">Remove</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="clock in form.positions" :key="clock">
          <th scope="row">{{ clockName(clock) }}</th>
          <td v-for="dial in DIALS" :key="dial">
            <NumberBox
              ref="boxes"
              :model-value="form[dial][String(clock)] ?? ''"
              :label="`${dial === 'rim' ? 'Rim' : 'Face'} at ${clockName(clock)}`"
              hide-label
              measure="displacement"
              :units="units"
              signed
              on-dye
              :note="ghost[dial][String(clock)] ? `before ${ghost[dial][String(clock)]}` : ''"
              @update:model-value="emit('update:text', dial, clock, $event)"
              @enter="emit('enter', dial, clock)"
              @step="emit('step', dial, clock, $event)"
            />
          </td>
          <td>
            <button
              v-if="form.positions.length > 3"
              type="button"
              class="text-button"
              :aria-label="`Remove ${clockName(clock)}`"
              @click="remove(clock)"
            >
              Remove
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="positions">
      <NumberBox
        v-model="added"
        label="Another position, degrees clockwise from 12"
        measure="plain"
        :units="units"
        on-dye
        :note="addedFault"
        :note-is-fault="!!addedFault"
        @enter="add"
      />
      <button type="button" class="dye-button" @click="add">Add the position</button>
      <button type="button" class="dye-button" @click="emit('positions', [0, 90, 180, 270])">
        12, 3, 6, 9
      </button>
      <button
        type="button"
        class="dye-button"
        @click="emit('positions', [0, 45, 90, 135, 180, 225, 270, 315])"
      >
        Eight
      </button>
    </div>
  </div>
</template>

<style scoped>
.wrap {
  overflow: auto;
  min-height: 0;
}
table {
  width: 100%;
  border-spacing: 10px 6px;
}
th {
  text-align: left;
  font-weight: 400;
  color: var(--scribe-dim);
}
.positions {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  padding: 8px 10px;
}
</style>
