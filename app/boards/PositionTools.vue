<script setup lang="ts">
import { measuringWords } from '~~/shared/wording/en'
import { clockOfArc, normalClock } from '~~/core/frame/clock'
import type { UnitSystem } from '~~/core/units/unitSystem'
import { typedValue } from '~~/shared/forms/typed'
import { withPosition } from '~~/shared/stages/measure/round'
import { seenClock } from '~~/shared/wording/otherEnd'

/** A list of positions of one's own: put one in by its angle, or by a mark on the rim. */
const props = defineProps<{
  positions: readonly number[]
  units: UnitSystem
  /** What standing 5 degrees off a mark would cost, in words; empty while nothing is known. */
  cost: string
}>()
const emit = defineEmits<{ positions: [clocks: number[]] }>()
const w = measuringWords(useWords()).view
const from = useOtherEnd() ? 'stationary' : 'movable'

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
  emit('positions', withPosition(props.positions, clock))
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
</script>

<template>
  <div class="positions">
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
    <div class="marks" role="group" :aria-label="w.helper.title">
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
    </div>
    <p v-if="cost" class="cost">{{ cost }}</p>
  </div>
</template>

<style scoped>
.positions,
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 12px;
  align-items: end;
}
.positions {
  padding: 8px 10px 0;
  border-top: 1px solid var(--dye-line);
}
.marks {
  flex-basis: 100%;
}
.cost {
  flex-basis: 100%;
  margin: 0;
  color: var(--scribe-dim);
  font-size: 14px;
}
</style>
