import { BACKLASH_BY } from '../../core/gear/backlash'
import { RUNS } from '../../core/gear/contactFigures'
import { LEVERS, SCHOOLS } from '../../core/gear/levers'
import { GEAR_KINDS } from '../../core/register/gearMachine'
import { backlashWords, gearWords } from '../wording/en'
import { recordWords } from '../wording/viewWords'
import type { Words } from '../wording/words'
import { boxesOf, type RecordBox } from './boxes'
import type { GearFields } from './gearMachine'

const OPTIONAL = { optional: true } as const

/** What stands on the form of a gearset, below what it is. */
export const gearBoxes = (record: GearFields, words: Words): readonly RecordBox[] => {
  const g = gearWords(words)
  const w = g.register
  const own = boxesOf(w.group, 'gear.')
  const motor = boxesOf(w.group)
  const wanted = boxesOf(w.wanted, 'gear.wanted.')
  const limits = boxesOf(w.limits, 'gear.limits.')
  const site = boxesOf(w.site, 'gear.notes.')
  return [
    own.choice('kind', w.kind, GEAR_KINDS, (k) => w.kinds[k]),
    own.number('ratio', w.ratio, 'plain'),
    own.number('pressureAngle', w.pressureAngle, 'plain'),
    own.text('ends.from', w.ends.from),
    own.text('ends.to', w.ends.to),
    own.choice('school', w.school, SCHOOLS, (s) => g.schools[s]),
    own.choice('backlash.by', w.backlashBy, BACKLASH_BY, (b) => backlashWords(words).by[b]),
    own.number('backlash.window.0', w.window[0], 'displacement', OPTIONAL),
    own.number('backlash.window.1', w.window[1], 'displacement', OPTIONAL),
    own.number('layers.thickness', w.layer, 'displacement'),
    ...record.gear.layers.under.map((_, i) => own.number(`layers.under.${i}`, w.under(i + 1), 'plain')),
    own.choice('layers.move', w.move, ['apart', 'closer'] as const, (m) => w.moves[m]),
    ...LEVERS.map((lever) => own.number(`room.${lever}`, w.room[lever], 'displacement', OPTIONAL)),
    own.number('testShift', w.testShift, 'displacement', OPTIONAL),
    motor.number('plateCurrent', recordWords.plateCurrent, 'plain', { optional: true, absent: true }),
    ...RUNS.flatMap((run) =>
      ([0, 1] as const).map((end) =>
        wanted.number(`${run}.${end}`, w.zone(g.runs[run], end), 'plain', OPTIONAL),
      ),
    ),
    limits.number('off', w.off, 'plain', OPTIONAL),
    limits.number('shortest', w.shortest, 'plain', OPTIONAL),
    limits.number('longest', w.longest, 'plain', OPTIONAL),
    limits.number('covered', w.covered, 'plain', OPTIONAL),
    limits.text('source', w.source),
    site.text('covers', w.covers),
    site.text('seals', w.seals),
    site.text('waiting', w.waiting),
  ]
}

const open = (): [null, null] => [null, null]

/** What only a gearset has, empty. */
export const blankGear = () =>
  ({
    drive: 'gear',
    gear: {
      kind: 'worm',
      ratio: 0,
      pressureAngle: 20,
      ends: { from: '', to: '' },
      school: 'together-blocks',
      wanted: { forward: open(), back: open() },
      limits: { off: null, shortest: null, longest: null, covered: null, source: '' },
      backlash: { by: 'dial', window: open() },
      layers: { thickness: 0, under: [0, 0], move: 'apart' },
      room: { blocks: null, gear: null },
      testShift: null,
      responses: { blocks: null, gear: null },
      leftAs: null,
      notes: { covers: '', seals: '', waiting: '' },
    },
  }) satisfies Partial<GearFields>
