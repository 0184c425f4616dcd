import { boltClocks, FEWEST_BOLTS, MOST_BOLTS, SPIGOT_FITS } from '../../core/register/flangeMachine'
import { FLANGE_SCHOOLS } from '../../core/stages/flangePlan/plans'
import { clockFace } from '../wording/clockFace'
import { flangeTapeWords, flangeWords } from '../wording/en'
import { recordWords } from '../wording/viewWords'
import type { Words } from '../wording/words'
import { boxesOf, type RecordBox } from './boxes'
import { hubBoxes, limitBoxes, NO_HUBS, usualBoxes } from './coupledBoxes'
import type { FlangeFields } from './flangeMachine'
import type { MachineFields } from './machine'

/** What stands on the form of a motor on a flange below what it is. */
export const flangeBoxes = (record: FlangeFields, words: Words): readonly RecordBox[] => {
  const w = recordWords
  const f = flangeWords(words)
  const { number, choice, shims } = boxesOf(w.groups.flange, 'flange.')
  const size = boxesOf(w.groups.flange).text('shimSize', w.shimSize, { absent: true })
  return [
    number('across.v', w.boltCircleV, 'distance'),
    number('across.h', w.boltCircleH, 'distance'),
    number('plane', flangeTapeWords(words).plane, 'distance'),
    choice('spigot', f.spigot.title, SPIGOT_FITS, (fit) => f.spigot.fit[fit]),
    number('play', f.spigot.play, 'displacement', { optional: true }),
    choice('school', f.view.schools, FLANGE_SCHOOLS, (school) => f.school[school]),
    size,
    ...boltClocks(record.flange.bolts).map((clock, i) =>
      shims(`existing.${i}`, w.shimsUnder(f.bolt(clockFace(clock)))),
    ),
    ...usualBoxes(record, words, ['rim-face', 'reverse-rim', 'heads', 'gaps', 'values']),
    ...hubBoxes(words).filter((box) => !box.path.endsWith('Limit') && !box.path.endsWith('closeEnough')),
    ...limitBoxes(record, words, false),
  ]
}

/** The record with so many bolts: what lies under those that stay, stays. The same where there can't be as many. */
export const withBolts = (record: MachineFields, bolts: number): MachineFields => {
  if (record.drive !== 'flange' || !Number.isInteger(bolts)) return record
  if (bolts < FEWEST_BOLTS || bolts > MOST_BOLTS) return record
  const existing = Array.from({ length: bolts }, (_, i) => record.flange.existing[i] ?? [])
  return { ...record, flange: { ...record.flange, bolts, existing } }
}

/** What only a motor on a flange has, empty. */
export const blankFlange = () =>
  ({
    drive: 'flange',
    couplingKind: '',
    couplingType: 'other',
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
    hubs: NO_HUBS,
    flange: {
      bolts: 4,
      across: { v: 0, h: 0 },
      plane: 0,
      existing: [[], [], [], []],
      spigot: 'tight',
      play: null,
      school: 'coplanar',
    },
    tolerance: { form: 'speed-rule', mode: 'vector', grade: 'standard' },
  }) satisfies Partial<FlangeFields>
