import { DRUM_KINDS, DRUM_LOADS } from '../../core/register/drumMachine'
import { drivesWords, drumWords, methodsWords } from '../wording/en'
import { capital } from '../wording/capital'
import type { FootWords } from '../wording/telling'
import { recordWords } from '../wording/viewWords'
import type { Words } from '../wording/words'
import { boxesOf, type RecordBox } from './boxes'
import { blankPair, footBoxes, hubBoxes, limitBoxes, NO_HUBS } from './coupledBoxes'
import type { DrumFields } from './drumMachine'

const DIALS = ['rim', 'face'] as const
const WHATS = ['side', 'top'] as const

/** What stands on the form of a motor trammed to a drum, below what it is. */
export const drumBoxes = (record: DrumFields, words: Words, chosen: FootWords): readonly RecordBox[] => {
  const { register: w, loads } = drumWords(words)
  const { drums } = drivesWords(words)
  const { number, choice } = boxesOf(w.group, 'drum.')
  const usual = boxesOf(recordWords.groups.usual, 'usual.')
  const { labels, options } = methodsWords(words)
  return [
    choice('kind', w.kind, DRUM_KINDS, (k) => capital(drums[k])),
    choice('load', w.load, DRUM_LOADS, (l) => loads[l]),
    number('runout', w.runout, 'displacement', { optional: true }),
    usual.number('faceDiameter', recordWords.faceDiameter, 'distance'),
    usual.choice('plunger', labels['rim-face'].plunger, ['away', 'back'] as const, (p) => options[p]),
    ...hubBoxes(words).filter((box) => !box.path.endsWith('Limit') && !box.path.endsWith('closeEnough')),
    ...footBoxes(record, words, chosen, w.feet),
    ...limitBoxes(record, words, false),
    ...DIALS.flatMap((dial) =>
      WHATS.flatMap((what) =>
        ([0, 1] as const).map((end) =>
          number(
            `windows.${dial}.${what}.${end}`,
            w.window(w.dials[dial], w.whats[what], end),
            'displacement',
            {
              signed: true,
              optional: true,
            },
          ),
        ),
      ),
    ),
  ]
}

const untaped = (id: string) => ({ ...blankPair(id), x: null })
/** Nothing judged. */
const open = (): [null, null] => [null, null]

/** What only a motor trammed to a drum has, empty. */
export const blankDrum = () =>
  ({
    drive: 'drum',
    couplingKind: '',
    couplingType: 'other',
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: 0, plunger: 'away', faceDiameter: 0 },
    hubs: NO_HUBS,
    feet: {
      movable: [untaped('inboard'), untaped('outboard')],
      stationary: [],
    },
    drum: {
      kind: 'brake-drum',
      load: 'skip',
      windows: { rim: { side: open(), top: open() }, face: { side: open(), top: open() } },
      runout: null,
    },
    tolerance: { form: 'window', offset: { v: open(), h: open() }, slope: { v: open(), h: open() } },
  }) satisfies Partial<DrumFields>
