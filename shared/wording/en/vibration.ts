import { said } from '../words'
import type { VibrationPlace, VibrationWay } from '../../../core/stages/open/entries'

/** Vibration as it was noted: a hint, judged by nobody. */
export const vibration = {
  places: {
    'movable-far': (movable: string) => `${movable}, outboard`,
    'movable-near': (movable: string) => `${movable}, coupling end`,
    'stationary-near': (_: string, stationary: string) => `${stationary}, coupling end`,
    'stationary-far': (_: string, stationary: string) => `${stationary}, far end`,
  } satisfies Record<VibrationPlace, (movable: string, stationary: string) => string>,
  ways: { vertical: 'vertical', horizontal: 'horizontal', axial: 'along the shaft' } satisfies Record<
    VibrationWay,
    string
  >,
  short: { vertical: 'V', horizontal: 'H', axial: 'axial' } satisfies Record<VibrationWay, string>,
  moments: { before: 'before', after: 'after' },
  told: (moment: string, most: string, where: string) => `Vibration ${moment}: ${most} at most, ${where}.`,
  less: (percent: number) => `That is ${percent} % of what it was.`,
  more: (percent: number) =>
    `It shakes more than before, ${percent} %: look for looseness, soft feet, a bearing, unbalance.`,
  hint: 'A hint only: what proves the line is measuring it.',
  note: { before: 'Note vibration before', after: 'Note vibration after' },
  title: { before: 'Vibration before the work', after: 'Vibration after the work' },
  unit: { inch: 'in/s', metric: 'mm/s' },
  measured: 'Velocity at the bearings, as the instrument shows it. Leave out what was not taken.',
  words: 'Instrument, load, anything heard',
  keep: 'Note it',
  report: 'Vibration',
}

export const vibrationWords = said(vibration)
