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
