import { FEWEST_UNITS, MOST_UNITS } from '../../core/register/trainMachine'
import { trainWords } from '../wording/en'
import { recordWords } from '../wording/viewWords'
import type { Words } from '../wording/words'
import { boxesOf, type RecordBox } from './boxes'
import { blankPair, hubBoxes, limitBoxes, NO_HUBS, usualBoxes } from './coupledBoxes'
import type { MachineFields } from './machine'
import type { TrainFields } from './trainMachine'

const SIGNED = { signed: true } as const

/** Boxes of one coupling as a coupled machine has them, under this heading and from this place in the record. */
const inCoupling = (boxes: readonly RecordBox[], group: string, root: string): readonly RecordBox[] =>
  boxes.map((box) => ({ ...box, group, path: `${root}${box.path}` }))

const unitBoxes = (record: TrainFields, i: number, words: Words): readonly RecordBox[] => {
  const w = trainWords(words).register
  const { machines } = record
  const unit = machines[i]
  if (!unit) return []
  const name = unit.name || w.nth(i + 1)
  const { text } = boxesOf(w.unit(i + 1, machines.length), `machines.${i}.`)
  return [
    text('name', w.unitName),
    ...unit.feet.flatMap((_, j) => {
      const place = w.pairOf(j === 0 ? 'first' : 'last')
      const { number, shims, toggle } = boxesOf(w.unit(i + 1, machines.length), `machines.${i}.feet.${j}.`)
      return [
        number('x', w.alongTo(place), 'distance', SIGNED),
        shims('existing.left', recordWords.shimsUnder(`${place} left`)),
        shims('existing.right', recordWords.shimsUnder(`${place} right`)),
        number('sidePlus', w.room(place, 3), 'displacement'),
        number('sideMinus', w.room(place, 9), 'displacement'),
        number('maxPack', w.highest(place), 'displacement'),
        toggle('locked', w.locked(name, place)),
      ]
    }),
  ]
}

const jointBoxes = (record: TrainFields, i: number, words: Words): readonly RecordBox[] => {
  const w = trainWords(words).register
  const joint = record.couplings[i]
  if (!joint) return []
  const [before, after] = [record.machines[i], record.machines[i + 1]].map(
    (m, j) => m?.name || w.nth(i + 1 + j),
  ) as [string, string]
  const group = w.joint(before, after)
  const root = `couplings.${i}.`
  const { text, number, choice } = boxesOf(group, root)
  return [
    text('name', w.jointName),
    text('couplingKind', recordWords.couplingKind),
    number('x', w.alongTo(w.itsCentre), 'distance', SIGNED),
    number('rpm', recordWords.rpm, 'plain'),
    choice('stationary', w.observer, ['left', 'right'] as const, (side) =>
      w.looksAt(side === 'left' ? before : after),
    ),
    ...inCoupling(usualBoxes(joint, words), group, root),
    ...inCoupling(hubBoxes(words), group, root),
    ...inCoupling(limitBoxes(joint, words), group, root),
  ]
}

/** What stands on the form of a train: every machine and every coupling, from the driven end on. */
export const trainBoxes = (record: TrainFields, words: Words): readonly RecordBox[] => [
  boxesOf(recordWords.groups.shims).text('shimSize', recordWords.shimSize, { absent: true }),
  ...record.machines.flatMap((_, i) => [...unitBoxes(record, i, words), ...jointBoxes(record, i, words)]),
]

const blankUnit = (n: number): TrainFields['machines'][number] => ({
  id: `m${n}`,
  name: '',
  feet: [blankPair('first'), blankPair('second')],
})
const blankJoint = (n: number): TrainFields['couplings'][number] => ({
  id: `c${n}`,
  name: '',
  x: 0,
  stationary: 'left',
  rpm: 0,
  couplingKind: '',
  couplingType: 'other',
  usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
  hubs: NO_HUBS,
  tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
})

const freeNumber = (ids: readonly { readonly id: string }[], letter: string): number => {
  let n = 1
  while (ids.some(({ id }) => id === `${letter}${n}`)) n++
  return n
}

/** What only a train has, empty: the fewest machines that make one. */
export const blankTrain = () =>
  ({
    drive: 'train',
    machines: [1, 2, 3].map(blankUnit),
    couplings: [1, 2].map(blankJoint),
  }) satisfies Partial<TrainFields>

/** The record with so many machines: more at the driver's end, or fewer; the same where there can't be. */
export const withUnits = (record: MachineFields, count: number): MachineFields => {
  if (record.drive !== 'train' || !Number.isInteger(count)) return record
  if (count < FEWEST_UNITS || count > MOST_UNITS) return record
  const machines = record.machines.slice(0, count)
  const couplings = record.couplings.slice(0, count - 1)
  while (machines.length < count) machines.push(blankUnit(freeNumber(machines, 'm')))
  while (couplings.length < count - 1) couplings.push(blankJoint(freeNumber(couplings, 'c')))
  return { ...record, machines, couplings }
}

/** A train is called by what stands at its two ends. */
export const namedByEnds = (record: unknown): unknown => {
  const { drive, machines } = record as Partial<TrainFields>
  if (drive !== 'train' || !machines) return record
  const names = machines.map((m) => m.name)
  return {
    ...(record as object),
    movableName: names[names.length - 1] ?? '',
    stationaryName: names[0] ?? '',
  }
}
