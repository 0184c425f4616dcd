<script setup lang="ts">
import { beltLimitsFor, lineLimitsOf } from '~~/core/belt/beltLimits'
import { smallestSheave, tableOf } from '~~/core/belt/sections'
import { driveOf } from '~~/core/stages/lineUp/line'
import { sparesFor } from '~~/core/stores/spareBelts'
import { massFrom, massOf } from '~~/core/stages/tension/band'
import { CONVERSIONS, fromCore, toCore } from '~~/core/units/unitSystem'
import type { BeltFields } from '~~/shared/register/beltMachine'
import type { BeltLimitsRecord } from '~~/shared/beltLimits/beltLimits'
import { beltFactsWords, beltsWords, pagesWords, tablesWords } from '~~/shared/wording/en'
import { degrees, figure, gapFigure, UNIT_NAMES } from '~~/shared/wording/figures'
import { forceFigure } from '~~/shared/wording/forces'
import { spareName, spareSays } from '~~/shared/wording/spareBelts'
import { lineLimitSources } from '~~/shared/wording/lines'

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
/** What the line of a job begun today would be judged by. */
const { data: worksLimits } = useAnswer<readonly BeltLimitsRecord[]>(() => '/api/belt-limits')
const limits = computed(() => {
  const { kind } = props.machine.belts
  const inForce = (worksLimits.value ?? []).filter((l) => l.inForce)
  const machine = { ...asMachine.value, beltLimits: beltLimitsFor(kind, inForce) }
  const { offset, angle } = lineLimitsOf(machine, driveOf(machine)?.span ?? 0)
  const b = beltsWords(words)
  return {
    each: [
      ...(offset.value === null
        ? []
        : [
            {
              name: b.quantities.offset,
              what: gapFigure(offset.value, { units: session.units }, true),
            },
          ]),
      {
        name: offset.value === null ? b.limits.angle : b.limits.angle.toLowerCase(),
        what: degrees(angle.value),
      },
    ],
    from: lineLimitSources(machine, { words }),
  }
})
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
    ...(b.set === undefined ? [] : [{ name: f.set, what: f.sets[b.set] }]),
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
/** Spares that lie in the stores for it. */
const spares = computed(() =>
  sparesFor(asMachine.value, session.works?.spareBelts ?? [])
    .slice(0, 3)
    .map((s) => `${spareName(s.lot, { words, units: session.units })}: ${spareSays(s, { words })}`),
)
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
    <p v-if="spares.length > 0" class="spares">
      {{ f.spares }}
      <span v-for="s in spares" :key="s">{{ s }}</span>
    </p>
    <p v-if="small" class="caution">{{ small }}</p>
    <h2>{{ w.limits }}</h2>
    <p>
      <template v-for="(l, i) in limits.each" :key="l.name">
        <template v-if="i > 0">, </template>{{ l.name }} <span class="figure">{{ l.what }}</span>
      </template>
    </p>
    <p class="muted">{{ limits.from }}</p>
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
dl + .spares {
  margin-top: 6px;
  font-size: 14px;
}
.spares span {
  display: block;
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
