import { said } from '../words'
import type { SafetyPoint } from '../../../core/stages/makeSafe/entries'

interface PointWords {
  readonly name: string
  readonly detail: string
}

export const safety = {
  bumped: (by: string) => (by ? `Bump test for rotation, switched by ${by}.` : 'Bump test for rotation.'),
  ranHot: 'Run warm for the hot check.',
  points: {
    isolated: {
      name: 'Isolated',
      detail:
        'Every source of energy to this machine is switched off at its isolator: electric, hydraulic, air, steam.',
    },
    'locked-tagged': {
      name: 'Locked and tagged',
      detail: 'Your own lock and tag are on each isolator. The key is with you.',
    },
    'energy-released': {
      name: 'Stored energy released',
      detail:
        'Springs, pressure, a suspended load, a rotor that can windmill or roll back: released or blocked.',
    },
    tried: {
      name: 'Tried to start',
      detail: 'The start was tried and nothing moved; the control is back at stop.',
    },
    'guard-off': {
      name: 'Guard off, shafts free',
      detail: 'The guard is off and put where nobody falls over it. Nobody else is at the shafts.',
    },
  } satisfies Record<SafetyPoint, PointWords>,
  note: 'Local codes, the site’s lockout procedure and the maker’s manual govern. Electrical work and lifting belong to qualified people.',
  turning:
    'Before turning by hand: lock on, fingers and sleeves clear of coupling, brackets and set screws, everyone told.',
  nothingSafe: 'Nothing is safe yet. Begin at the isolator.',
  next: (point: string) => `Next: ${point}.`,
  whole: 'Locked out, released and tried. Hands may go to the shafts.',
  closed: 'The lockout of this job is in its record. It says nothing of the machine today.',
  lost: 'Power came back. Lock out again before anyone reaches in.',
  waived: 'No lockout, with a reason. Hands may go to the machine.',
  missingHere: 'The lockout is not whole. Make safe first.',
  lostHere: 'Power came back: the lockout is broken. Make safe again first.',
  whyNot: (why: string) => `Lockout not needed: ${why}`,
  lockedOut: (time: string) => `Locked out ${time}`,
  lostFinding: 'Power came back: confirm again',
  waivedFinding: 'Not needed, with a reason',
  confirmed: (points: string) => `confirmed ${points}`,
  powerBack: (why: string) => `Power came back: ${why}`,
  /** What stands on the stage itself. */
  view: {
    note: 'confirm each on the machine, not from memory',
    confirm: 'Confirm',
    confirmNext: (point: string) => `Confirm: ${point}`,
    permitNumber: 'Permit number, where the site has one',
    permit: 'Permit',
    jobNote: (note: string) => `Job note: ${note}`,
    logged: 'Each confirmation is logged with your name and the time.',
    powerBack: 'Power came back on',
    waive: 'No lockout is needed, and why',
    waiveHere: 'No lockout is needed for this, and why',
    waiveTitle: 'No lockout is needed',
    whyPower: 'Why? A bump test, a hot run, someone else’s work?',
    whyWaive: 'Why can nobody be hurt by this machine while you work on it?',
    logPower: 'Log it; confirm everything again',
    toMakeSafe: 'To Make safe',
    at: (time: string, person: string) => `${time}, ${person}`,
  },
}

export const safetyWords = said(safety)
