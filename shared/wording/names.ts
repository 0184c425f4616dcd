import type { AchievedCause } from '../../core/coupling/achieved'
import type { VerdictOrUnknown } from '../../core/judge/judge'
import type { JobReason, SafetyPoint, StageId } from '../../core/logbook/entry'
import type { TrustLevel } from '../../core/logbook/measurement'
import type { StageMark } from '../../core/logbook/stages'
import type { BlockedFoot, PlanKind } from '../../core/plan/movePlan'
import type { TrustFlag } from '../../core/trust/trustReport'
import type { TypedFault } from '../../core/units/typedNumber'

export const STAGE_NAMES: Readonly<Record<StageId, string>> = {
  'make-safe': 'Make safe',
  'set-up': 'Set up',
  'as-found': 'As found',
  plan: 'Plan',
  move: 'Move',
  're-measure': 'Re-measure',
  close: 'Close',
}

export const VERDICT_NAMES: Readonly<Record<VerdictOrUnknown, string>> = {
  in: 'In band',
  edge: 'Edge',
  out: 'Out',
  unknown: 'Not known',
}

export const MARK_NAMES: Readonly<Record<StageMark, string>> = {
  todo: 'to do',
  done: 'done',
  skipped: 'passed over',
  in: 'in band',
  edge: 'on the edge',
  out: 'out',
}

export const REASON_NAMES: Readonly<Record<JobReason, string>> = {
  planned: 'Planned check',
  vibration: 'Vibration',
  'new-machine': 'New machine',
  moved: 'Moved or rebuilt',
  wear: 'Wear found',
  other: 'Other',
}

export const SAFETY_NAMES: Readonly<Record<SafetyPoint, { readonly name: string; readonly detail: string }>> =
  {
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
      detail: 'The coupling guard is off and put where nobody falls over it. Nobody else is at the shafts.',
    },
  }

export const SAFETY_NOTE =
  'Local codes, the site’s lockout procedure and the maker’s manual govern. Electrical work and lifting belong to qualified people.'

export const TURNING_NOTE =
  'Before turning by hand: lock on, fingers and sleeves clear of coupling, brackets and set screws, everyone told.'

export const TRUST_NAMES: Readonly<Record<TrustLevel, string>> = {
  none: 'No readings yet',
  doubtful: 'Don’t use it yet',
  unproven: 'Unproven: nothing could expose a bad reading',
  once: 'Balances; not repeated yet',
  agreed: 'Repeats',
  overridden: 'Used against a failed check, with a reason',
}

export const FLAG_SENTENCES: Readonly<Record<TrustFlag, string>> = {
  closure: 'Top and bottom don’t add up to left and right.',
  residual: 'The readings don’t lie on one circle.',
  unproven: 'Too few readings to expose a bad one. Add a position or repeat the set.',
  'arc-short': 'The readings cover little of the turn.',
  amplified: 'Positions so close together make every reading error larger.',
  'single-plane': 'Only one plane was read.',
  'return-to-zero': 'A dial did not come back to zero after the full turn: something slipped.',
  'no-sag': 'No bar sag was given. Right only when nothing hangs.',
  'one-shaft-turned': 'Only one shaft turned: the other hub’s run-out is in the readings.',
  'hub-radii': 'The rim steps don’t fit the hub radii that were given. Check both.',
  'go-no-go': 'Only tried with one blade: bounds, no values. Measure a real gap before cutting shims.',
  'axial-float': 'The shafts crept along their axis between readings.',
}

export const PLAN_NAMES: Readonly<Record<PlanKind | 'own', string>> = {
  closest: 'Closest',
  'fewest-feet': 'Fewest feet',
  'fewest-shims': 'Fewest shims',
  'least-lift': 'Least lift',
  own: 'Your own',
}

export const BLOCK_REASONS: Readonly<Record<BlockedFoot['reason'], string>> = {
  'no-shim': 'nothing left to take out',
  'pack-height': 'the pack would be too high',
  'bolt-bound': 'no room left in the bolt holes',
  locked: 'the feet are locked',
}

export const CAUSE_SENTENCES: Readonly<Record<AchievedCause, string>> = {
  'as-planned': 'It moved as planned.',
  'nothing-happened': 'Nothing moved. Check that the shims went in and that the bolts let the feet go.',
  'sign-swapped': 'It moved the other way. A sign or a direction was swapped.',
  'sides-swapped': 'It moved to the other side. 3 and 9 were swapped.',
  'shift-on-tightening': 'It shifted while the bolts were tightened.',
  'soft-foot': 'A soft foot took part of the move.',
  'coupling-strain': 'The coupling held the shafts back: strain.',
  'feet-swapped': 'The inboard and outboard moves were swapped.',
  'part-only': 'Only part of the move arrived. Look for feet that spring back or bolts not slackened.',
  differs: 'It moved otherwise than planned. Look for a soft foot, a shift on tightening, or strain.',
}

export const TYPED_FAULTS: Readonly<Record<TypedFault, string>> = {
  empty: 'Type a number.',
  'not-a-number': 'That is not a number. Type it like 7, −2.5, 2 5/32 or 18+25.',
  'comma-unclear': 'A comma here could mean two things. Type a point, or leave the comma out.',
  'bad-fraction': 'Check the fraction: type it like 5/32, or 2 5/32.',
  'unit-here': 'Type the figure alone here, without a unit.',
  exponent: 'Type the number out, without an e.',
  'two-signs': 'There are two signs. Keep one.',
  'too-large': 'That is far too large. Check the digits.',
}
