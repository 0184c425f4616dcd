<script setup lang="ts">
import { toCore } from '~~/core/units/unitSystem'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { en } from '~~/shared/wording/en'
import { gapFigure } from '~~/shared/wording/lines'

/** The sheaves of a belt drive, and what their line is judged by. */
const props = defineProps<{ machine: BeltFields }>()
const session = useSession()
const d = (x: number) => gapFigure(toCore(x, 'distance', props.machine.units), { units: session.units })
const rows = computed(() =>
  (
    [
      ['Pitch diameter', 'pitchDiameter'],
      ['Face width', 'faceWidth'],
      ['Outer face to groove', 'depthOuter'],
      ['Inner face to groove', 'depthInner'],
    ] as const
  ).map(([name, key]) => ({
    name,
    motor: d(props.machine.sheaves.motor[key]),
    driven: d(props.machine.sheaves.driven[key]),
  })),
)
</script>

<template>
  <div class="facts panel">
    <h2>Sheaves</h2>
    <FigureTable :head="[session.units === 'inch' ? 'in' : 'mm', 'motor', 'driven']">
      <tr v-for="r in rows" :key="r.name">
        <td>{{ r.name }}</td>
        <td class="figure">{{ r.motor }}</td>
        <td class="figure">{{ r.driven }}</td>
      </tr>
      <tr>
        <td>Grooves</td>
        <td class="figure">{{ machine.sheaves.motor.grooves }}</td>
        <td class="figure">{{ machine.sheaves.driven.grooves }}</td>
      </tr>
    </FigureTable>
    <h2>Limits</h2>
    <p v-if="machine.limits.offset !== null">
      Offset <span class="figure">{{ d(machine.limits.offset) }}</span>
      {{ session.units === 'inch' ? 'in' : 'mm' }}
    </p>
    <p class="muted">
      {{
        machine.limits.offset !== null || machine.limits.angle !== null
          ? en.belts.limits.own(machine.limits.source)
          : en.belts.limits.starter(en.belts.kinds[machine.belts.kind])
      }}
    </p>
  </div>
</template>

<style scoped>
.facts {
  padding: 4px 18px 16px;
}
h2 {
  margin: 14px 0 4px;
}
.muted {
  font-size: 14px;
}
</style>
