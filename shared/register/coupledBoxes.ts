import type { Words } from '../wording/en'
import { capital, nameFeet, type FootWords } from '../wording/telling'
import { boxesOf, type RecordBox } from './boxes'
import type { CoupledFields } from './coupledMachine'

const SIGNED = { signed: true } as const

const usualBoxes = ({ usual }: CoupledFields, { register: w }: Words): readonly RecordBox[] => {
  const { number } = boxesOf(w.groups.usual, 'usual.')
  return usual.method === 'rim-face'
    ? [number('rimPlane', w.rimPlane, 'distance', SIGNED), number('faceDiameter', w.faceDiameter, 'distance')]
    : [
        number('onStationary', w.onStationary, 'distance', SIGNED),
        number('onMovable', w.onMovable, 'distance', SIGNED),
      ]
}

const MAYBE = { optional: true } as const

const hubBoxes = ({ register: w }: Words): readonly RecordBox[] => {
  const { number } = boxesOf(w.groups.hubs, 'hubs.')
  return [
    number('stationaryDiameter', w.drivenHub, 'distance', MAYBE),
    number('movableDiameter', w.motorHub, 'distance', MAYBE),
    number('gapLeast', w.gapLeast, 'distance', MAYBE),
    number('gapMost', w.gapMost, 'distance', MAYBE),
    number('float', w.float, 'distance', MAYBE),
    number('closeEnough', w.closeEnough, 'displacement', MAYBE),
    number('rimLimit', w.rimLimit, 'displacement', MAYBE),
    number('faceLimit', w.faceLimit, 'displacement', MAYBE),
  ]
}

const footBoxes = (record: CoupledFields, words: Words, chosen: FootWords): readonly RecordBox[] => {
  const { register: w } = words
  const names = nameFeet(words, chosen, record)
  return record.feet.movable.flatMap((pair, i) => {
    const name = names(pair.id)
    const { number, shims, toggle } = boxesOf(w.feet(capital(name)), `feet.movable.${i}.`)
    return [
      number('x', w.couplingToFeet(name), 'distance'),
      shims('existing.left', w.shimsUnder(`${name} left`)),
      shims('existing.right', w.shimsUnder(`${name} right`)),
      number('sidePlus', w.room(capital(name), 3), 'displacement'),
      number('sideMinus', w.room(capital(name), 9), 'displacement'),
      number('maxPack', w.highestPack(capital(name)), 'displacement'),
      toggle('locked', w.locked(capital(name))),
    ]
  })
}

const limitBoxes = ({ tolerance }: CoupledFields, { register: w }: Words): readonly RecordBox[] => {
  const { number, choice } = boxesOf(w.groups.limits, 'tolerance.')
  switch (tolerance.form) {
    case 'offset-slope':
      return [number('offset', w.offsetLimit, 'displacement'), number('slope', w.slopeLimit, 'plain')]
    case 'speed-rule':
      return [choice('grade', w.speedRule, ['standard', 'fine'] as const, (g) => w.grades[g])]
    default:
      return []
  }
}

/** What stands on a coupled machine's form below what it is. */
export const coupledBoxes = (
  record: CoupledFields,
  words: Words,
  chosen: FootWords,
): readonly RecordBox[] => [
  ...usualBoxes(record, words),
  ...hubBoxes(words),
  ...footBoxes(record, words, chosen),
  ...limitBoxes(record, words),
]

const blankPair = (id: string) => ({
  id,
  x: 0,
  existing: { left: [], right: [] },
  maxPack: 0,
  sidePlus: 0,
  sideMinus: 0,
  locked: false,
})

/** Hubs of which nothing is known. */
export const NO_HUBS = {
  stationaryDiameter: null,
  movableDiameter: null,
  gapLeast: null,
  gapMost: null,
  float: null,
  closeEnough: null,
  rimLimit: null,
  faceLimit: null,
}

/** What only a coupled machine has, empty. */
export const blankCoupled = () =>
  ({
    drive: 'coupled',
    couplingKind: '',
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
    hubs: NO_HUBS,
    feet: { movable: [blankPair('inboard'), blankPair('outboard')], stationary: [] },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  }) satisfies Partial<CoupledFields>
