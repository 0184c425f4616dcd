import { recordWords } from '../wording/viewWords'
import { COUPLING_TYPES } from '../../core/register/couplingParts'
import { directionsWords, lookWords, methodsWords, setsWords } from '../wording/en'
import type { Words } from '../wording/words'
import { capital } from '../wording/capital'
import { nameFeet, type FootWords } from '../wording/telling'
import type { UsualPlaces } from '../../core/methods/methods'
import { boxesOf, type RecordBox } from './boxes'
import type { CoupledFields } from './coupledMachine'
import type { MachineFields } from './machine'

const SIGNED = { signed: true } as const

/** What the register keeps of each method, still to be typed. */
const BLANK_USUAL = {
  'rim-face': { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
  'reverse-rim': { method: 'reverse-rim', onStationary: 0, onMovable: 0 },
  'spacer-faces': { method: 'spacer-faces', spoolLength: 0, circleStationary: 0, circleMovable: 0 },
  gaps: { method: 'gaps', gapCircle: 0 },
  heads: { method: 'heads', stationaryPlane: 0, movablePlane: 0 },
  values: { method: 'values' },
  'foot-values': { method: 'foot-values' },
} as const satisfies { readonly [M in UsualPlaces['method']]: Extract<UsualPlaces, { method: M }> }

/** How it is usually measured; `offered` of the methods. */
export const usualBoxes = (
  { usual }: Pick<CoupledFields, 'usual'>,
  words: Words,
  offered: readonly UsualPlaces['method'][] = Object.keys(BLANK_USUAL) as UsualPlaces['method'][],
): readonly RecordBox[] => {
  const w = recordWords
  const methods = methodsWords(words)
  const { number, choice } = boxesOf(w.groups.usual, 'usual.')
  const labels = methods.labels
  const method = choice('method', w.usualMethod, offered, (m) => setsWords(words).methods[m], BLANK_USUAL)
  switch (usual.method) {
    case 'rim-face':
      return [
        method,
        choice(
          'carriedBy',
          labels['rim-face'].carriedBy,
          ['movable', 'stationary'] as const,
          (m) => w.sides[m],
        ),
        number('rimPlane', w.rimPlane, 'distance', SIGNED),
        choice('plunger', labels['rim-face'].plunger, ['away', 'back'] as const, (p) => methods.options[p]),
        number('faceDiameter', w.faceDiameter, 'distance'),
      ]
    case 'reverse-rim':
      return [
        method,
        number('onStationary', w.onStationary, 'distance', SIGNED),
        number('onMovable', w.onMovable, 'distance', SIGNED),
      ]
    case 'spacer-faces':
      return [
        method,
        ...(['spoolLength', 'circleStationary', 'circleMovable'] as const).map((id) =>
          number(id, labels['spacer-faces'][id], 'distance'),
        ),
      ]
    case 'heads':
      return [
        method,
        ...(['stationaryPlane', 'movablePlane'] as const).map((id) =>
          number(id, labels.heads[id], 'distance'),
        ),
      ]
    case 'gaps':
      return [method, number('gapCircle', labels.gaps.gapCircle, 'distance')]
    case 'values':
    case 'foot-values':
      return [method]
  }
}

const MAYBE = { optional: true } as const

/** The coupling and its hubs. */
export const hubBoxes = (words: Words): readonly RecordBox[] => {
  const look = lookWords(words)
  const w = recordWords
  const { number } = boxesOf(w.groups.hubs, 'hubs.')
  const { choice } = boxesOf(w.groups.hubs)
  return [
    choice('couplingType', w.couplingType, COUPLING_TYPES, (t) => look.couplings[t]),
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

/** What lies under each foot pair, where it stands and what room it has; `untaped` says that a distance may be left out. */
export const footBoxes = (
  record: Pick<Extract<MachineFields, { readonly feet: unknown }>, 'drive' | 'feet'>,
  words: Words,
  chosen: FootWords,
  untaped = '',
): readonly RecordBox[] => {
  const w = recordWords
  const names = nameFeet(words, chosen, record)
  const size = boxesOf(w.groups.shims).text('shimSize', w.shimSize, { absent: true })
  const boxes = (['movable', 'stationary'] as const).flatMap((role) =>
    record.feet[role].flatMap((pair, i) => {
      const place = names(pair.id, role)
      const name = role === 'movable' ? place : w.driven(place)
      const { number, shims, toggle } = boxesOf(w.feet(capital(name)), `feet.${role}.${i}.`)
      return [
        untaped
          ? number('x', w.orEmpty(w.rimDialToFeet(name), untaped), 'distance', MAYBE)
          : number('x', w.couplingToFeet(name), 'distance', role === 'stationary' ? SIGNED : {}),
        shims('existing.left', w.shimsUnder(`${name} left`)),
        shims('existing.right', w.shimsUnder(`${name} right`)),
        number('sidePlus', w.room(capital(name), 3), 'displacement'),
        number('sideMinus', w.room(capital(name), 9), 'displacement'),
        number('maxPack', w.highestPack(capital(name)), 'displacement'),
        toggle('locked', w.locked(capital(name))),
      ]
    }),
  )
  return [size, ...boxes]
}

const NO_BAND = [null, null] as const
const OPEN = { v: NO_BAND, h: NO_BAND }
/** Each form of a limit, still to be typed. */
const BLANK_LIMITS = {
  'speed-rule': { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  'offset-slope': { form: 'offset-slope', mode: 'plane', offset: 0, slope: 0 },
  'flex-plane': { form: 'flex-plane', mode: 'plane', slope: 0, spoolLength: 0 },
  window: { form: 'window', offset: OPEN, slope: OPEN },
} as const

/** What it is judged by; `spool` where its coupling may have one. */
export const limitBoxes = (
  { tolerance }: Pick<CoupledFields, 'tolerance'>,
  words: Words,
  spool = true,
): readonly RecordBox[] => {
  const w = recordWords
  const directions = directionsWords(words)
  const { number, choice, text } = boxesOf(w.groups.limits, 'tolerance.')
  const form = choice(
    'form',
    w.limitForm,
    (Object.keys(BLANK_LIMITS) as (keyof typeof BLANK_LIMITS)[]).filter((f) => spool || f !== 'flex-plane'),
    (f) => w.limitForms[f],
    BLANK_LIMITS,
  )
  const mode = choice('mode', w.judged, ['plane', 'vector'] as const, (m) => w.modes[m])
  const source = text('source', w.limitSource)
  switch (tolerance.form) {
    case 'offset-slope':
      return [
        form,
        mode,
        number('offset', w.offsetLimit, 'displacement'),
        number('slope', w.slopeLimit, 'plain'),
        source,
      ]
    case 'flex-plane':
      return [
        form,
        mode,
        number('slope', w.slopeLimit, 'plain'),
        number('spoolLength', w.spoolLength, 'distance'),
        source,
      ]
    case 'speed-rule':
      return [
        form,
        mode,
        choice('grade', w.speedRule, ['standard', 'fine'] as const, (g) => w.grades[g]),
        ...(spool
          ? [number('spoolLength', w.spoolLength, 'distance', { optional: true, absent: true })]
          : []),
      ]
    case 'window':
      return [
        form,
        ...(['offset', 'slope'] as const).flatMap((what) =>
          (['v', 'h'] as const).flatMap((plane) =>
            ([0, 1] as const).map((end) =>
              number(
                `${what}.${plane}.${end}`,
                w.windowEnd(what, directions.planes[plane], end),
                what === 'offset' ? 'displacement' : 'plain',
                { signed: true, optional: true },
              ),
            ),
          ),
        ),
        source,
      ]
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

/** A pair of feet of which nothing is written yet. */
export const blankPair = (id: string) => ({
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
    couplingType: 'other',
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
    hubs: NO_HUBS,
    feet: { movable: [blankPair('inboard'), blankPair('outboard')], stationary: [] },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  }) satisfies Partial<CoupledFields>

/** Foot pairs a machine can have, and the fewest that are asked of it. */
export const MOST_PAIRS = 6
const FEWEST = { movable: 2, stationary: 0 } as const

/** These pairs with one more at the far end, or one fewer; null where there can't be. */
const pairsBy = <P extends { readonly id: string }>(
  old: readonly P[],
  fewest: number,
  by: 1 | -1,
  blank: (id: string) => P,
): P[] | null => {
  if (by < 0) return old.length <= fewest ? null : old.slice(0, -1)
  if (old.length >= MOST_PAIRS) return null
  // The two outer pairs keep the names they are called by.
  const names = ['inboard', 'outboard', 'third', 'fourth', 'fifth', 'sixth']
  const id = names.find((n) => !old.some((f) => f.id === n)) ?? `pair ${old.length + 1}`
  return [...old, blank(id)]
}

/** The record with one pair of feet more at its far end, or one fewer; the same where there can't be. */
export const withPairs = (
  record: MachineFields,
  role: 'movable' | 'stationary',
  by: 1 | -1,
): MachineFields => {
  if (record.drive === 'coupled') {
    const pairs = pairsBy(record.feet[role], FEWEST[role], by, blankPair)
    return pairs ? { ...record, feet: { ...record.feet, [role]: pairs } } : record
  }
  if (record.drive !== 'drum' || role === 'stationary') return record
  const pairs = pairsBy(record.feet.movable, FEWEST.movable, by, (id) => ({ ...blankPair(id), x: null }))
  return pairs ? { ...record, feet: { ...record.feet, movable: pairs } } : record
}
