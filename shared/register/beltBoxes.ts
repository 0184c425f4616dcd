import { BELT_KINDS } from '../../core/belt/sheaveLine'
import { BASE_KINDS, MOTOR_PLACES, PULLS, type SheavePlace } from '../../core/register/beltMachine'
import { beltsWords, drivesWords } from '../wording/en'
import type { Words } from '../wording/words'
import { capital } from '../wording/telling'
import { recordWords } from '../wording/viewWords'
import type { BeltFields } from './beltMachine'
import { boxesOf, type RecordBox } from './boxes'

const SIGNED = { signed: true } as const
const OPTIONAL = { optional: true } as const

const sheaveBoxes = (place: SheavePlace, words: Words): readonly RecordBox[] => {
  const belts = beltsWords(words)
  const w = recordWords
  const name = belts.sheaves[place]
  const { number } = boxesOf(name, `sheaves.${place}.`)
  return [
    number('pitchDiameter', `${name}: ${w.pitchDiameter}`, 'distance'),
    number('faceWidth', `${name}: ${w.faceWidth}`, 'distance'),
    number('grooves', `${name}: ${w.grooves}`, 'plain'),
    number('depthOuter', `${name}: ${w.depthOuter}`, 'distance'),
    number('depthInner', `${name}: ${w.depthInner}`, 'distance'),
  ]
}

const baseBoxes = (words: Words): readonly RecordBox[] => {
  const belts = beltsWords(words)
  const w = recordWords
  const { number, choice } = boxesOf(w.groups.base, 'base.')
  return [
    choice('kind', w.kindOfBase, BASE_KINDS, (k) => belts.bases[k].name),
    choice('place', w.motorStands, MOTOR_PLACES, (p) => belts.motorPlaces[p]),
    choice('pull', w.beltsPull, PULLS, (p) => belts.pulls[p]),
    number('footSpacing', w.footSpacing, 'distance'),
    number('sheaveToFeet', w.sheaveToFeet, 'distance', SIGNED),
    number('shaftHeight', w.shaftHeight, 'distance'),
    number('screwPitch', w.screwPitch, 'distance', OPTIONAL),
    number('hubToShaftEnd', w.hubToShaftEnd, 'distance', { ...SIGNED, ...OPTIONAL }),
    number('lineAngle', w.lineAngle, 'plain', SIGNED),
  ]
}

/** What stands on a belt machine's form below what it is. */
export const beltBoxes = (words: Words): readonly RecordBox[] => {
  const w = recordWords
  const drive = boxesOf(w.groups.belts)
  const limits = boxesOf(w.groups.limits, 'limits.')
  return [
    drive.choice('belts.kind', w.kindOfBelt, BELT_KINDS, (k) => capital(drivesWords(words).beltKinds[k])),
    drive.text('belts.section', w.section),
    drive.number('belts.count', w.howMany, 'plain'),
    drive.number('centreDistance', w.centreDistance, 'distance'),
    ...sheaveBoxes('motor', words),
    ...sheaveBoxes('driven', words),
    ...baseBoxes(words),
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
