import type { Fits } from '../../../core/belt/replacement'
import { said } from '../words'

/** Belts laid on again. */
export const fit = {
  asked: 'Lay the belts on by hand.',
  done: { same: 'The same belts are on.', new: 'New belts are on.' },
  newDetail: 'They bed in and stretch fast: tension them high, and come back after the first hours.',
  sameDetail: 'Belts that have run are tensioned lower than new ones.',
  rules: [
    'The larger sheave first; then turn the smaller one by hand and let the belts roll in. Flat hand, fingers never between belt and rim.',
    'A set is replaced whole, by one maker, from one batch. New and run belts don’t share a load.',
    'All slack on the same side before the motor goes out.',
  ],
  lengthOdd: (registered: string) => `The register says ${registered}. Is this the right belt?`,
  /** Whether a belt of the length that was typed is near enough on these sheaves. */
  near: {
    moves: (by: string, way: string) => `It brings the motor ${by} ${way} than the register’s centres.`,
    further: 'further out',
    nearer: 'further in',
    layOn: (by: string) => `To lay it on without prying, the motor comes in ${by} from there.`,
    says: {
      fits: (left: string) => `Near enough: ${left} of travel are left.`,
      'little-room': (left: string) =>
        `It runs, but ${left} of travel end before the belt is stretched out: look for a shorter one.`,
      'runs-out': (left: string) => `Too long: ${left} of travel are left.`,
      unknown: () => 'The register does not say what travel is left.',
    } satisfies Record<Fits, (left: string) => string>,
    tooShort: 'Too short: it does not go round both sheaves.',
  },
  /** Spare belts that lie in the stores. */
  spares: {
    title: 'From the stores',
    none: 'Not from the stores',
    loose: 'single',
    set: (n: number) => `matched set of ${String(n)}`,
    band: (n: number) => `band of ${String(n)}`,
    there: (n: number) => `${String(n)} there`,
    tooFew: (n: number, wanted: number) => `${String(n)} there, it takes ${String(wanted)}`,
    sameLength: 'the registered length',
    longer: (by: string) => `${by} longer`,
    shorter: (by: string) => `${by} shorter`,
    empty: 'The stores have none of this section near this length.',
  },
  log: { same: 'Log: the same belts', new: 'Log: new belts' },
  view: {
    title: 'Fit belts',
    which: 'Which belts go on',
    belts: { same: 'The same', new: 'New ones' },
    length: 'Pitch length of a belt',
    matched: 'A matched set',
    matchedWords: { yes: 'Yes', no: 'No', unknown: 'Not said' },
    words: 'Remark, batch or number',
    passOver: 'Pass over fitting',
    wanted: (count: string, section: string, length: string) =>
      length === '' ? `${count}, section ${section}` : `${count}, section ${section}, ${length} long`,
  },
}

export const fitWords = said(fit)
