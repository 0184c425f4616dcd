import { said } from '../words'
import type { SafetyPoint } from '../../../core/stages/makeSafe/entries'

/** What Make safe asks to be confirmed at the machine, and what the lockout then means. */
export const makeSafe = {
  details: {
    isolated:
      'Every source of energy to this machine is switched off at its isolator: electric, hydraulic, air, steam.',
    'locked-tagged': 'Your own lock and tag are on each isolator. The key is with you.',
    'energy-released':
      'Springs, pressure, a suspended load, a rotor that can windmill or roll back: released or blocked.',
    'load-blocked':
      'Whatever hangs on this shaft is landed, or blocked so that it can’t move: skip, hook, counterweight. The brake alone is no block.',
    'brake-safe':
      'The brake is released by hand only now, and can’t set by itself: its spring pinned, its weight or thruster tied. Fingers stay out of shoes and linkage.',
    tried: 'The start was tried and nothing moved; the control is back at stop.',
    'guard-off': 'The guard is off and put where nobody falls over it. Nobody else is at the shafts.',
  } satisfies Record<SafetyPoint, string>,
  law: 'Local codes, the site’s lockout procedure and the maker’s manual govern. Electrical work and lifting belong to qualified people.',
  nothingSafe: 'Nothing is safe yet. Begin at the isolator.',
  whole: 'Locked out, released and tried. Hands may go to the shafts.',
  closed: 'The lockout of this job is in its record. It says nothing of the machine today.',
  lost: 'Power came back. Lock out again before anyone reaches in.',
  waived: 'No lockout, with a reason. Hands may go to the machine.',
  note: 'confirm each on the machine, not from memory',
  confirm: 'Confirm',
  confirmNext: (point: string) => `Confirm: ${point}`,
  permitNumber: 'Permit number, where the site has one',
  permit: 'Permit',
  jobNote: (note: string) => `Job note: ${note}`,
  logged: 'Each confirmation is logged with your name and the time.',
  powerBack: 'Power came back on',
  waive: 'No lockout is needed, and why',
  whyPower: 'Why? A bump test, a hot run, someone else’s work?',
  logPower: 'Log it; confirm everything again',
  at: (time: string, person: string) => `${time}, ${person}`,
}

export const makeSafeWords = said(makeSafe)
