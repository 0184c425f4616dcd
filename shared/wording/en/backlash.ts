import type { BacklashBy } from '../../../core/gear/backlash'
import { said } from '../words'

/** The play between the teeth, its window, the layers that cure it. */
export const backlash = {
  by: { dial: 'Dial on a tooth', feeler: 'Feeler in mesh' } satisfies Record<BacklashBy, string>,
  at: { dial: 'at the tooth', feeler: 'between the flanks' } satisfies Record<BacklashBy, string>,
  window: (low: string, high: string, unit: string) => `window ${low} to ${high} ${unit}`,
  atLeast: (low: string, unit: string) => `at least ${low} ${unit}`,
  atMost: (high: string, unit: string) => `at most ${high} ${unit}`,
  noWindow: 'no window registered',
  todo: 'Hold one gear, rock the other, read the play between the teeth.',
  todoDetail:
    'The dial stands square to a tooth of the wheel, at its pitch circle. At a quarter turn each is best.',
  contactFirst: 'Set the contact first: a shift changes the backlash.',
  in: (read: string) => `Backlash is ${read}: inside its window.`,
  edge: (read: string) => `Backlash is ${read}: inside its window, near an edge.`,
  wide: (read: string) => `Backlash is wide: ${read}.`,
  tight: (read: string) => `Backlash is tight: ${read}.`,
  spread:
    'It differs round the gear by more than its window is wide: no layer cures that. Look for a bent shaft, a wheel that runs out, a worn sector.',
  stale: 'Something was shifted since. Read the backlash again.',
  told: (as: string, was: string) => `Told as ${as}; read ${was}.`,
  cure: (n: string, what: string) => `${n} ${what} under each block`,
  out: (n: number) => `Take ${n} ${n === 1 ? 'layer' : 'layers'} out under each block`,
  into: (n: number) => `Lay ${n} ${n === 1 ? 'layer' : 'layers'} more under each block`,
  after: (read: string, n: string) => `${read} expected where it is worst, with ${n}.`,
  layersOut: (n: number) => `${n} ${n === 1 ? 'layer' : 'layers'} out`,
  layersIn: (n: number) => `${n} ${n === 1 ? 'layer' : 'layers'} in`,
  short: (n: number) =>
    `${n} ${n === 1 ? 'layer' : 'layers'} more would have to come out and do not lie there: one stays under each block.`,
  none: 'Nothing to change under the blocks.',
  contactToo:
    'Layers move the shafts together or apart: the paint goes up or down the tooth and gets longer or shorter. Read it again after.',
  seen: (round: number, layers: string, together: string, apart: string) =>
    `Round ${round}: ${layers}, and the paint went ${together} together, ${apart} apart.`,
  alike: 'The same under both blocks, or the worm no longer lies level.',
  layersOf: (n: string, thickness: string, unit: string) => `${n} layers of ${thickness} ${unit}`,
  stay: (n: number) => `the other ${n} stay`,
  readAgain: 'After the shift, and read again first.',
  under: 'Under each block',
  block: 'block',
  blockName: (n: number) => `Block ${n}`,
  view: {
    title: 'Backlash',
    note: 'round the gear, the worst counts',
    how: 'How it is read',
    reading: (n: number) => `Reading ${n}`,
    words: 'Remark',
    log: 'Log the backlash',
    passOver: 'Pass over the backlash',
    layersTitle: 'Layers that were changed',
    layersBox: (n: number) => `Block ${n}: layers in, out with a minus`,
    logLayers: 'Log the layers',
    layersDone: (n: string) => `${n}: paint again`,
    otherLayers: 'Changed otherwise',
    scale: (low: string, high: string, unit: string) => `Backlash from ${low} to ${high} ${unit}`,
    columns: { what: '', found: 'found', limit: 'window' },
    rows: { least: 'Least', most: 'Most', mean: 'Mean' },
  },
  faults: {
    none: 'Give one reading at least.',
    whole: 'Give whole layers: 3, or -3.',
    nothing: 'Give the layers that went in or came out.',
    short: (n: string) => `Only ${n} lie there.`,
  },
  working: {
    change: 'Change of centre distance',
    changeFormula: '(middle of the window − backlash) ÷ (2 × tan of the pressure angle)',
    changeFeeler: '(middle of the window − backlash) ÷ (2 × sin of the pressure angle)',
    layers: 'Layers',
    layersFormula: 'change ÷ thickness of a layer, whole layers',
    after: 'Backlash after',
    afterFormula: 'backlash + change × 2 × tan of the pressure angle',
    afterFeeler: 'backlash + change × 2 × sin of the pressure angle',
  },
}

export const backlashWords = said(backlash)
