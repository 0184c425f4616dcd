import type { EntryKind } from './entry'

export const ROLES = ['apprentice', 'millwright', 'lead', 'planner'] as const
export type Role = (typeof ROLES)[number]

/** Work at the machine that anyone learning the trade does under somebody’s eye. */
const AT_THE_MACHINE: readonly EntryKind[] = [
  'job-opened',
  'tools-taken',
  'vibration-noted',
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
  'hot-answered',
  'stage-skipped',
  'job-closed',
]

/** Which kinds of entry each role may write. Joined with what a job admits; the server asks it again. */
export const MAY: Readonly<Record<Role, readonly EntryKind[]>> = {
  apprentice: AT_THE_MACHINE,
  millwright: [...AT_THE_MACHINE, ...ANSWERED_FOR],
  lead: [...AT_THE_MACHINE, ...ANSWERED_FOR],
  planner: ['job-opened', 'tools-taken', 'plan-chosen', 'flange-plan-chosen', 'remark'],
}
