import { said } from '../words'
import type { RunPoint } from '../../../core/stages/run/entries'

interface PointWords {
  readonly name: string
  readonly detail: string
  readonly confirm: string
}

/** Turned by hand, guarded, run and listened to. */
export const run = {
  points: {
    turned: {
      name: 'Turned by hand',
      detail:
        'Two full turns of the large sheave, palms flat on its rim. No rub, no belt climbing, nothing tight at one spot.',
      confirm: 'It turns freely',
    },
    'tools-out': {
      name: 'Tools out',
      detail: 'Blocks, edge, string and wrenches counted back; adjusting screws locked.',
      confirm: 'All out and locked',
    },
    'guard-on': {
      name: 'Guard on',
      detail: 'Complete, all its fasteners, clear of belts and sheaves. Before it no lock comes off.',
      confirm: 'The guard is on',
    },
    ran: {
      name: 'Run',
      detail:
        'Everybody clear; locks off by those who hung them. Stand aside of the sheaves at the first start. Read the current once it runs under load.',
      confirm: 'It runs well',
    },
    listened: {
      name: 'Listened',
      detail:
        'Squeal at the start: too slack. A whip or a flap: slack or unmatched. A howl that stays: too tight. A tick a turn: a damaged belt.',
      confirm: 'It sounds right',
    },
  } satisfies Record<RunPoint, PointWords> as Readonly<Record<RunPoint, PointWords>>,
  /** What else is looked for where gears are turned, not belts. */
  gears: {
    turned: 'A whole turn of the wheel by hand at the motor coupling, both ways. No tight spot, no knock.',
    'tools-out': 'Rags, dials, feelers and wrenches counted back; every cover on; oil in to its mark.',
    'guard-on': 'Complete, all its fasteners, clear of the coupling. Before it no lock comes off.',
    ran: 'Everybody clear; locks off by those who hung them. First a minute without load, then under it. Read the current once it runs under load.',
    listened:
      'A whine that rises with the load: contact or backlash. A knock a turn: a tooth. Bearing caps no hotter than the hand bears after half an hour.',
  } satisfies Record<RunPoint, string> as Readonly<Record<RunPoint, string>>,
  next: (point: string) => `Next: ${point.toLowerCase()}.`,
  whole: 'Guarded, running and quiet.',
  bad: (points: string) => `Not right: ${points.toLowerCase()}.`,
  badDetail: 'Stop it, lock out, and go back to what it points at.',
  over: (now: string, plate: string) => `It draws ${now}, over the ${plate} on its plate.`,
  overDetail:
    'A faster driven machine draws far more. A qualified electrician looks at it before it stays on.',
  current: (now: string, plate: string) => (plate === '' ? `${now}, plate not known` : `${now} of ${plate}`),
  deferring:
    'Electrical work and starting belong to those who may; the site’s procedure and local codes govern.',
  view: {
    title: 'Turn, guard, run',
    note: 'in this order',
    bad: 'Not right',
    whatIsWrong: 'What is not right?',
    logBad: 'Log it',
    current: 'Current under load, A (if read)',
    passOver: 'Pass over the run',
  },
}

export const runWords = said(run)
