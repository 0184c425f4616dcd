import { said } from '../words'
import type { SafetyPoint } from '../../../core/stages/makeSafe/entries'

/** The lockout, as every stage, the sheet and the report speak of it. */
export const safety = {
  bumped: (by: string) => (by ? `Bump test for rotation, switched by ${by}.` : 'Bump test for rotation.'),
  ranHot: 'Run warm for the hot check.',
  points: {
    isolated: 'Isolated',
    'locked-tagged': 'Locked and tagged',
    'energy-released': 'Stored energy released',
    'load-blocked': 'Load landed or blocked',
    'brake-safe': 'Brake released and secured',
    tried: 'Tried to start',
    'guard-off': 'Guard off, shafts free',
  } satisfies Record<SafetyPoint, string>,
  turning:
    'Before turning by hand: lock on, fingers and sleeves clear of coupling, brackets and set screws, everyone told.',
  next: (point: string) => `Next: ${point}.`,
  missingHere: 'The lockout is not whole. Make safe first.',
  lostHere: 'Power came back: the lockout is broken. Make safe again first.',
  whyNot: (why: string) => `Lockout not needed: ${why}`,
  lockedOut: (time: string) => `Locked out ${time}`,
  lostFinding: 'Power came back: confirm again',
  waivedFinding: 'Not needed, with a reason',
  confirmed: (points: string) => `confirmed ${points}`,
  powerBack: (why: string) => `Power came back: ${why}`,
  waiveHere: 'No lockout is needed for this, and why',
  waiveTitle: 'No lockout is needed',
  whyWaive: 'Why can nobody be hurt by this machine while you work on it?',
  toMakeSafe: 'To Make safe',
}

export const safetyWords = said(safety)
