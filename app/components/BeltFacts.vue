<script setup lang="ts">
import { beltsWords, pagesWords, tablesWords, drivesWords } from '~~/shared/wording/en'
import { toCore } from '~~/core/units/unitSystem'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { UNIT_NAMES, gapFigure } from '~~/shared/wording/figures'

/** The sheaves of a belt drive, and what their line is judged by. */
const props = defineProps<{ machine: BeltFields }>()
const session = useSession()
const words = useWords()
const w = pagesWords(words).machine
const unit = computed(() => UNIT_NAMES[session.units].distance)
const d = (x: number) => gapFigure(toCore(x, 'distance', props.machine.units), { units: session.units })
const rows = computed(() =>
  (
    [
      [w.pitchDiameter, 'pitchDiameter'],
      [w.faceWidth, 'faceWidth'],
      [w.depthOuter, 'depthOuter'],
      [w.depthInner, 'depthInner'],
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
    <h2>{{ w.sheaves }}</h2>
    <FigureTable :head="[unit, tablesWords(words).motor, tablesWords(words).driven]">
      <tr v-for="r in rows" :key="r.name">
        <td>{{ r.name }}</td>
        <td class="figure">{{ r.motor }}</td>
        <td class="figure">{{ r.driven }}</td>
      </tr>
      <tr>
        <td>{{ w.grooves }}</td>
        <td class="figure">{{ machine.sheaves.motor.grooves }}</td>
        <td class="figure">{{ machine.sheaves.driven.grooves }}</td>
      </tr>
    </FigureTable>
    <slot />
    <h2>{{ w.limits }}</h2>
    <p v-if="machine.limits.offset !== null">
      {{ w.offset }} <span class="figure">{{ d(machine.limits.offset) }}</span>
      {{ unit }}
    </p>
    <p class="muted">
      {{
        machine.limits.offset !== null || machine.limits.angle !== null
          ? beltsWords(words).limits.own(machine.limits.source)
          : beltsWords(words).limits.starter(drivesWords(words).beltKinds[machine.belts.kind])
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
