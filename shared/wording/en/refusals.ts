import { said } from '../words'
import type { RefusalCode } from '../../../core/outcome'

type Numbers = Readonly<Record<string, number>>

const round = (x: number | undefined, digits = 0): string =>
  x === undefined ? '?' : String(Number(x.toFixed(digits)))

/** Why something could not be calculated, and what to do. */
export const refusals = {
  'too-few-positions': () =>
    'These readings stand at one clock position. Read at three or more, at least 3 degrees apart.',
  'pair-off-plane': () =>
    'Two positions alone tell a plane only when they are 12 and 6, or 3 and 9. Add a third position.',
  'arc-too-short': (n: Numbers) =>
    `The readings cover only ${round(n.arc)} degrees. Spread them over ${round(n.limit)} degrees or more.`,
  'amplified-too-much': (n: Numbers) =>
    `Positions so close together would show every reading error ${round(n.times)} times as large as four clock positions do. Spread them further.`,
  'faces-not-opposite': (n: Numbers) =>
    `The second face dial has no reading opposite ${round(n.clock)} degrees. Two face dials need readings half a turn apart.`,
  'plungers-differ': () =>
    'The two face dials point different ways. Set both plungers the same way, or enter one dial.',
  'feet-at-one-place': () => 'The foot pairs stand at the same place. Check the distances.',
  'speed-needed': () => 'This limit depends on speed. Give the speed in rpm.',
  'planes-at-one-place': () =>
    'The planes of both dials are less than 10 mm (0.4 in) apart, so they can’t tell the slope. Check the distances.',
  'only-bounds': () =>
    'A blade that passes or stops gives bounds, not a value that could spread. Measure the gap or the step itself.',
  'dial-never-travels': () =>
    'The shaft that carries this dial stood still, so the dial stayed in one place and read only how the other hub runs. Turn the shaft that carries it, or both.',
  'dial-on-its-own-hub': () =>
    'A dial must hang on the other machine than the hub it reads. Check which machine carries it.',
  'nothing-measured': () => 'Nothing was measured here. Give the values.',
  'bounds-off-quarters': (n: Numbers) =>
    `A go/no-go blade counts only at 12, 3, 6 or 9; ${round(n.clock)} degrees is none of them.`,
  'bounds-empty': (n: Numbers) =>
    `Two blades at ${round(n.clock)} degrees contradict one another. Try them again.`,
  'not-a-dial-method': () => 'This needs readings round the clock from dials or heads.',
  'unknown-method': () => 'Name the method the readings come from.',
  'nothing-in-stock': () => 'There are no shims to use: nothing in stock and nothing under the foot.',
  'bolts-not-paired': () =>
    'Pairwise shimming needs every bolt opposite another at the same radius. Use the coplanar school.',
  'bolts-on-a-line': () => 'These bolts stand in a row; they can’t tell a tilt. Check the clock positions.',
  'belt-too-short': () =>
    'This belt is too short to go round both sheaves. Check the length and the diameters.',
  'sheaves-touch': () =>
    'The centre distance is shorter than half of both diameters: the sheaves would touch. Check it.',
  'no-room-for-tension': () => 'No centre distance gives that tension. Check tensions and stiffness.',
  'sheave-out-of-range': () => 'Opened this far the belt would run on the hub. Fewer turns.',
  'times-not-rising': () => 'Give the tensions in order of time, each later than the one before.',
  'force-from-stiffness-alone': () =>
    'The belt’s own stiffness explains this reading without any tension. Check it and the stiffness.',
  'turns-all-alike': () => 'All points were read at the same turns. Turn the screws and read again.',
  'no-rising-force': () =>
    'The force did not rise with the turns. Check that the base is free to slide, and read again.',
  'no-chart-row': () => 'The chart has no row for this section, sheave and speed. Add one or give the band.',
  'no-solution': () => 'No set of moves satisfies these bounds. Check locked feet and room.',
  'beyond-double-range': () => 'These figures are too large to calculate with. Check the digits.',
} satisfies Record<RefusalCode, (n: Numbers) => string>

export const refusalsWords = said(refusals)
