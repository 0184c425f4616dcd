<script setup lang="ts">
import { smallestSheave, tableOf } from '~~/core/belt/sections'
import { massFrom, massOf } from '~~/core/stages/tension/band'
import { CONVERSIONS, fromCore, toCore } from '~~/core/units/unitSystem'
import type { BeltFields } from '~~/shared/register/beltMachine'
import { beltFactsWords, beltsWords, drivesWords, pagesWords, tablesWords } from '~~/shared/wording/en'
import { figure, gapFigure, UNIT_NAMES } from '~~/shared/wording/figures'
import { forceFigure } from '~~/shared/wording/forces'

/** What the register has of a belt drive, and what its line and tension are judged by. */
const props = defineProps<{ machine: BeltFields }>()
const session = useSession()
const words = useWords()
const w = pagesWords(words).machine
const f = beltFactsWords(words)
const unit = computed(() => UNIT_NAMES[session.units].distance)
const own = (x: number) => toCore(x, 'distance', props.machine.units)
const d = (x: number | undefined) => (x === undefined ? '–' : gapFigure(own(x), { units: session.units }))
const tape = (x: number) => figure(own(x), 'distance', session.units, { unit: true })
const newton = (x: number) => forceFigure(toCore(x, 'force', props.machine.units), session.units, true)
const rows = computed(() => {
  const { motor, driven } = props.machine.sheaves
  return (
    [
      [w.pitchDiameter, 'pitchDiameter'],
      [f.outsideDiameter, 'outsideDiameter'],
      [w.faceWidth, 'faceWidth'],
      [w.depthOuter, 'depthOuter'],
      [w.depthInner, 'depthInner'],
      [f.groovePitch, 'groovePitch'],
    ] as const
  )
    .filter(([, key]) => motor[key] !== undefined || driven[key] !== undefined)
    .map(([name, key]) => ({ name, motor: d(motor[key]), driven: d(driven[key]) }))
})
/** What calculates reads of a machine; stock and pack rule play no part here. */
const asMachine = computed(() => ({ ...props.machine, stock: [], packLimit: 1 }))
const mass = computed(() => {
  const kilograms = massOf(asMachine.value)
  const from = massFrom(asMachine.value)
  if (kilograms === null || !from) return null
  const own = Number(fromCore(kilograms, 'massPerLength', session.units).toPrecision(3))
  return `${String(own)} ${CONVERSIONS[session.units].massPerLength.unit}${from === 'starting' ? f.startingMass : ''}`
})
const belts = computed(() => {
  const { belts: b, base, plateCurrent, load, tension } = props.machine
  return [
    {
      name: f.section,
      what: [b.section, b.construction ? f.constructions[b.construction] : ''].filter(Boolean).join(', '),
    },
    ...(b.length === undefined ? [] : [{ name: f.length, what: tape(b.length) }]),
    ...(mass.value === null ? [] : [{ name: f.mass, what: mass.value }]),
    ...(b.fittedOn === undefined ? [] : [{ name: f.fittedOn, what: b.fittedOn }]),
    ...(base.travelLeft === undefined ? [] : [{ name: f.travelLeft, what: tape(base.travelLeft) }]),
    ...(plateCurrent === undefined ? [] : [{ name: f.plate, what: `${String(plateCurrent)} A` }]),
    ...(load === undefined ? [] : [{ name: f.drives, what: f.loads[load] }]),
    ...(tension?.stickerLow === undefined || tension.stickerHigh === undefined
      ? []
      : [
          {
            name: f.sticker,
            what: f.stickerAt(
              newton(tension.stickerLow),
              newton(tension.stickerHigh),
              tape(tension.stickerDeflection ?? 0),
            ),
          },
        ]),
  ]
})
/** A sheave smaller than its section may run on shortens its belts' life. */
const small = computed(() => {
  const table = tableOf(props.machine)
  const { motor, driven } = props.machine.sheaves
  if (!table) return ''
  const judged = smallestSheave(table, [own(motor.pitchDiameter), own(driven.pitchDiameter)])
  return judged?.tooSmall
    ? f.tooSmall(
        figure(judged.smallest, 'distance', session.units, { unit: true }),
        figure(judged.least, 'distance', session.units, { unit: true }),
        table.section,
      )
    : ''
})
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
    <h2>{{ f.belts }}</h2>
    <dl>
      <div v-for="b in belts" :key="b.name">
        <dt>{{ b.name }}</dt>
        <dd>{{ b.what }}</dd>
      </div>
    </dl>
    <p v-if="small" class="caution">{{ small }}</p>
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
dl {
  margin: 0;
}
dl div {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
  gap: 10px;
  padding: 3px 0;
  font-size: 15px;
}
dt {
  color: var(--muted);
}
dd {
  margin: 0;
}
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
