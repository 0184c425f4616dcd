<script setup lang="ts">
import { clockOfArc, normalClock } from '~~/core/frame/clock'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { seenClock } from '~~/shared/wording/otherEnd'
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
  /** What standing 5 degrees off a mark would cost, in words; empty while nothing is known. */
  cost?: string
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
const from = useOtherEnd() ? 'stationary' : 'movable'
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
  const clock = seenClock(normalClock(typed), from)
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
/** From marks on the rim: how far along it, on what diameter. */
const arc = ref('')
const rim = ref('')
const marked = computed(() => {
  const [along, across] = [
    typedValue(arc.value, 'distance', props.units),
    typedValue(rim.value, 'distance', props.units),
  ]
  if (along === null || across === null || across <= 0) return null
  const degrees = normalClock(clockOfArc(along, across))
  return Math.round(degrees * 10) / 10
})
const addMarked = () => {
  if (marked.value === null) return
  added.value = String(marked.value)
  arc.value = ''
  add()
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
    <div v-if="!fixed" class="positions marks" role="group" :aria-label="w.helper.title">
      <NumberBox
        v-model="arc"
        :label="w.helper.arc"
        measure="distance"
        :units="units"
        on-dye
        @enter="addMarked"
      />
      <NumberBox
        v-model="rim"
        :label="w.helper.diameter"
        measure="distance"
        :units="units"
        on-dye
        @enter="addMarked"
      />
      <template v-if="marked !== null">
        <span class="figure">{{ w.helper.comesTo(String(marked)) }}</span>
        <el-button class="dye-button" @click="addMarked">{{ w.helper.add(String(marked)) }}</el-button>
      </template>
      <p v-if="cost" class="cost">{{ cost }}</p>
    </div>
  </div>
</template>

<style scoped>
.wrap {
  overflow: auto;
  min-height: 0;
}
.marks {
  border-top: 1px solid var(--dye-line);
}
.cost {
  flex-basis: 100%;
  color: var(--scribe-dim);
  font-size: 14px;
}
.positions {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
  padding: 8px 10px;
}
</style>
