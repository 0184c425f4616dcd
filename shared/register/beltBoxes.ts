import { BELT_KINDS } from '../../core/belt/sheaveLine'
import { CONVERSIONS } from '../../core/units/unitSystem'
import {
  BASE_KINDS,
  BELT_CONSTRUCTIONS,
  BELT_SETS,
  LOADS,
  MOTOR_PLACES,
  PULLS,
  type SheaveBuild,
  type SheavePlace,
} from '../../core/register/beltMachine'
import { beltsWords, drivesWords } from '../wording/en'
import type { Words } from '../wording/words'
import { capital } from '../wording/capital'
import { recordWords } from '../wording/viewWords'
import type { BeltFields } from './beltMachine'
import { boxesOf, type RecordBox } from './boxes'

const SIGNED = { signed: true } as const
const OPTIONAL = { optional: true } as const
/** Left empty, it isn't in the record at all. */
const ABSENT = { optional: true, absent: true } as const

/** What a sheave is asked once it is said how it is built. */
const BUILDS: Readonly<Record<SheaveBuild['kind'], SheaveBuild>> = {
  fixed: { kind: 'fixed' },
  variable: { kind: 'variable', threadPitch: 0, turnsMost: 0, grooveAngle: 0, moves: 'outer', turnsOpen: 0 },
}

const sheaveBoxes = (place: SheavePlace, { sheaves }: BeltFields, words: Words): readonly RecordBox[] => {
  const belts = beltsWords(words)
  const w = recordWords
  const name = belts.sheaves[place]
  const { number, choice } = boxesOf(name, `sheaves.${place}.`)
  const build = (what: string) => `${name}: ${what}`
  return [
    number('pitchDiameter', `${name}: ${w.pitchDiameter}`, 'distance'),
    number('faceWidth', `${name}: ${w.faceWidth}`, 'distance'),
    number('grooves', `${name}: ${w.grooves}`, 'plain'),
    number('depthOuter', `${name}: ${w.depthOuter}`, 'distance'),
    number('depthInner', `${name}: ${w.depthInner}`, 'distance'),
    number('outsideDiameter', build(w.outsideDiameter), 'distance', ABSENT),
    number('groovePitch', build(w.groovePitch), 'distance', ABSENT),
    ...(place === 'driven'
      ? [number('hubToShaftEnd', build(w.hubToShaftEnd.toLowerCase()), 'distance', { ...SIGNED, ...ABSENT })]
      : []),
    choice('build.kind', build(w.build), ['fixed', 'variable'], (k) => w.builds[k], BUILDS),
    ...(sheaves[place].build?.kind === 'variable'
      ? [
          number('build.threadPitch', build(w.threadPitch), 'distance'),
          number('build.turnsMost', build(w.turnsMost), 'plain'),
          number('build.grooveAngle', build(w.grooveAngle), 'plain'),
          choice('build.moves', build(w.moves), ['outer', 'inner', 'both'], (m) => w.movesWhich[m]),
          number('build.turnsOpen', build(w.turnsOpen), 'plain'),
        ]
      : []),
  ]
}

const baseBoxes = (words: Words): readonly RecordBox[] => {
  const belts = beltsWords(words)
  const w = recordWords
  const { number, choice } = boxesOf(w.groups.base, 'base.')
  return [
    choice('kind', w.kindOfBase, BASE_KINDS, (k) => belts.bases[k]),
    choice('place', w.motorStands, MOTOR_PLACES, (p) => belts.motorPlaces[p]),
    choice('pull', w.beltsPull, PULLS, (p) => belts.pulls[p]),
    number('footSpacing', w.footSpacing, 'distance'),
    number('sheaveToFeet', w.sheaveToFeet, 'distance', SIGNED),
    number('shaftHeight', w.shaftHeight, 'distance'),
    number('screwPitch', w.screwPitch, 'distance', OPTIONAL),
    number('hubToShaftEnd', w.hubToShaftEnd, 'distance', { ...SIGNED, ...OPTIONAL }),
    number('lineAngle', w.lineAngle, 'plain', SIGNED),
    number('travelLeft', w.travelLeft, 'distance', ABSENT),
  ]
}

/** What stands on a belt machine's form below what it is. */
export const beltBoxes = (record: BeltFields, words: Words): readonly RecordBox[] => {
  const w = recordWords
  const drive = boxesOf(w.groups.belts)
  const tension = boxesOf(w.groups.tension, 'tension.')
  const limits = boxesOf(w.groups.limits, 'limits.')
  return [
    drive.choice('belts.kind', w.kindOfBelt, BELT_KINDS, (k) => capital(drivesWords(words).beltKinds[k])),
    drive.text('belts.section', w.section),
    drive.number('belts.count', w.howMany, 'plain'),
    drive.choice('belts.construction', w.construction, BELT_CONSTRUCTIONS, (c) => w.constructions[c]),
    drive.number('belts.length', w.beltLength, 'distance', ABSENT),
    drive.number('belts.mass', w.beltMass(CONVERSIONS[record.units].massPerLength.unit), 'plain', ABSENT),
    drive.number('belts.stiffness', w.beltStiffness, 'force', ABSENT),
    drive.choice('belts.set', w.beltSet, BELT_SETS, (k) => w.beltSets[k]),
    drive.text('belts.fittedOn', w.fittedOn, { absent: true }),
    drive.number('centreDistance', w.centreDistance, 'distance'),
    drive.number('plateCurrent', w.plateCurrent, 'plain', ABSENT),
    drive.choice('load', w.load, LOADS, (l) => w.loads[l]),
    ...sheaveBoxes('motor', record, words),
    ...sheaveBoxes('driven', record, words),
    ...baseBoxes(words),
    tension.number('stickerLow', w.stickerLow, 'force', ABSENT),
    tension.number('stickerHigh', w.stickerHigh, 'force', ABSENT),
    tension.number('stickerDeflection', w.stickerDeflection, 'distance', ABSENT),
    tension.number('serviceFactor', w.serviceFactor, 'plain', ABSENT),
    tension.number('shaftLoadMost', w.shaftLoadMost, 'force', ABSENT),
    limits.number('offset', w.ownOffset, 'distance', OPTIONAL),
    limits.number('angle', w.ownAngle, 'plain', OPTIONAL),
    limits.text('source', w.limitSource),
  ]
}

const BLANK_SHEAVE = { pitchDiameter: 0, faceWidth: 0, grooves: 1, depthOuter: 0, depthInner: 0 }

/** What only a belt machine has, empty. */
export const blankBelt = () =>
  ({
    drive: 'belt',
    sheaves: { motor: BLANK_SHEAVE, driven: BLANK_SHEAVE },
    centreDistance: 0,
    belts: { kind: 'v', section: '', count: 1 },
    base: {
      kind: 'slide-screws',
      place: 'beside',
      pull: 'level',
      footSpacing: 0,
      sheaveToFeet: 0,
      shaftHeight: 0,
      screwPitch: null,
      hubToShaftEnd: null,
      lineAngle: 0,
    },
    limits: { angle: null, tilt: null, offset: null, source: '' },
  }) satisfies Partial<BeltFields>
