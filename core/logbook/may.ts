import type { EntryKind } from './entry'

export const ROLES = ['apprentice', 'millwright', 'lead', 'planner', 'customer'] as const
export type Role = (typeof ROLES)[number]

/** What people are let do besides writing entries. Each route of the server asks for one of them, or for none. */
export const RIGHTS = [
  /** Sees machines, jobs, stores, limits, calendar and logbook, and takes reports and files out. */
  'read',
  /** Writes into logbooks: which kinds of entry, `writes` says. */
  'log',
  /** Lets instruments speak into a job. */
  'measure',
  /** Changes the register of machines. */
  'register',
  /** Counts what lies in the stores. */
  'count',
  /** Puts things into the stores and takes them out of use. */
  'stores',
  /** Changes what is judged by, and when to come back. */
  'limits',
  /** Planned stops and the calendar of the works. */
  'schedule',
  /** Brings files in. */
  'files',
  /** Works on the practice bench. */
  'practise',
  /** Sets lessons and sees what everybody's tries came to. */
  'lessons',
  /** People, customers, and who did what. */
  'people',
  /** Sees the jobs of the one customer one is of, and their reports. */
  'own-jobs',
] as const
export type Right = (typeof RIGHTS)[number]

/** What one role may do. */
export interface Allowed {
  readonly does: readonly Right[]
  /** Only with the PIN of a second person who may do it alone. */
  readonly doesWithSecond: readonly Right[]
  readonly writes: readonly EntryKind[]
  /** Only with the PIN of a second person who may write it alone. */
  readonly writesWithSecond: readonly EntryKind[]
}

/** Work at the machine that anyone learning the trade does under somebody’s eye. */
const AT_THE_MACHINE: readonly EntryKind[] = [
  'job-opened',
  'tools-taken',
  'vibration-noted',
  'instrument-spoke',
  'safety-confirmed',
  'power-restored',
  'place-looked',
  'pins-handled',
  'pipe-read',
  'shims-found',
  'base-read',
  'sheet-shims-cut',
  'gaps-felt',
  'rises-read',
  'foot-filled',
  'level-read',
  'machine-levelled',
  'runout-read',
  'hubs-felt',
  'hubs-roughed',
  'set-up',
  'readings-taken',
  'set-left-out',
  'plan-chosen',
  'train-plan-chosen',
  'counts-read',
  'bolts-named',
  'move-made',
  'bump-begun',
  'rotation-seen',
  'coupling-made-up',
  'coupling-opened',
  'proof-confirmed',
  'hot-run-begun',
  'temperatures-read',
  'hot-run-ended',
  'drum-tapped',
  'bolt-shims-found',
  'spigot-felt',
  'flange-plan-chosen',
  'bolt-shims-cut',
  'flange-counts-read',
  'flange-moved',
  'layers-marked',
  'gear-refitted',
  'mesh-cleared',
  'contact-painted',
  'gear-shifted',
  'backlash-read',
  'layers-changed',
  'gear-tightened',
  'slacked-off',
  'drive-looked',
  'setting-read',
  'motor-squared',
  'contacts-checked',
  'sheaves-read',
  'line-corrected',
  'belts-fitted',
  'tension-read',
  'tension-adjusted',
  'base-tightened',
  'run-confirmed',
  'remark',
]
/** Judgement calls and the signature. */
const ANSWERED_FOR: readonly EntryKind[] = [
  'lockout-waived',
  'set-used-anyway',
  'target-set',
  'growth-set',
  'machine-freed',
  'hot-answered',
  'stage-skipped',
  'job-closed',
]

const ALL_KINDS: readonly EntryKind[] = [...AT_THE_MACHINE, ...ANSWERED_FOR]

/** The one table of who may do what. The device asks it to say so early; the server asks it again and rules. */
export const MAY: Readonly<Record<Role, Allowed>> = {
  apprentice: {
    does: ['read', 'log', 'measure', 'count', 'practise'],
    doesWithSecond: ['limits'],
    writes: AT_THE_MACHINE,
    writesWithSecond: ANSWERED_FOR,
  },
  millwright: {
    does: ['read', 'log', 'measure', 'register', 'count', 'files', 'practise'],
    doesWithSecond: ['limits', 'stores'],
    writes: ALL_KINDS,
    writesWithSecond: [],
  },
  lead: {
    does: [
      'read',
      'log',
      'measure',
      'register',
      'count',
      'stores',
      'limits',
      'schedule',
      'files',
      'practise',
      'lessons',
      'people',
    ],
    doesWithSecond: [],
    writes: ALL_KINDS,
    writesWithSecond: [],
  },
  planner: {
    does: ['read', 'log', 'register', 'schedule', 'files', 'practise'],
    doesWithSecond: [],
    writes: ['job-opened', 'tools-taken', 'plan-chosen', 'flange-plan-chosen', 'train-plan-chosen', 'remark'],
    writesWithSecond: [],
  },
  customer: { does: ['own-jobs'], doesWithSecond: [], writes: [], writesWithSecond: [] },
}

/** Whether somebody may: alone, with a second person's PIN, or not. */
export type Leave = 'alone' | 'with-second' | 'no'

/** Whether a role may write entries of a kind. */
export const leaveToWrite = (role: Role, kind: EntryKind): Leave =>
  MAY[role].writes.includes(kind) ? 'alone' : MAY[role].writesWithSecond.includes(kind) ? 'with-second' : 'no'

/** Whether a role may do what a right is asked for. */
export const leaveTo = (role: Role, right: Right): Leave =>
  MAY[role].does.includes(right) ? 'alone' : MAY[role].doesWithSecond.includes(right) ? 'with-second' : 'no'
