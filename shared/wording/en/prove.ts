import { said } from '../words'
import type { ProofStep } from '../../../core/stages/prove/checkProof'

interface StepWords {
  readonly name: string
  readonly detail: string
  /** The button that says it is so. */
  readonly confirm: string
}

/** Words of the proof: what is seen, made up, read and tightened before the guard goes on. */
export const prove = {
  steps: {
    rotation: {
      name: 'Rotation',
      detail:
        'Wired or rewired, the motor is switched on for a moment, uncoupled, and seen to turn the right way.',
      confirm: 'It turned the right way',
    },
    greased: {
      name: 'Motor greased',
      detail: 'Drain plug out, new grease in until the old comes, plug back. Too much is as bad as none.',
      confirm: 'Greased, plug back',
    },
    heaters: {
      name: 'Space heaters',
      detail: 'Connected and warm while the motor stands, where it has any.',
      confirm: 'They work',
    },
    'made-up': {
      name: 'Coupling made up',
      detail: 'Parts in, bolts at the maker’s torque, the gap between the faces felt.',
      confirm: 'It is made up',
    },
    'read-coupled': {
      name: 'Read made up',
      detail: 'One set more. Far from what was read open, the coupling bends the shafts.',
      confirm: 'Read it made up',
    },
    'set-screws': {
      name: 'Set screws and keys',
      detail: 'Keys in full length, set screws tight and locked on both hubs.',
      confirm: 'Tight',
    },
    'hold-down-bolts': {
      name: 'Hold-down bolts',
      detail: 'All at torque in the numbered order, jacking bolts backed off.',
      confirm: 'At torque',
    },
    'turns-freely': {
      name: 'Turns freely',
      detail: 'Once round by hand, lock on: no rub, no tight spot, fingers and sleeves clear.',
      confirm: 'It turns freely',
    },
    'guard-on': {
      name: 'Guard on',
      detail: 'All its bolts in, nothing left behind it, nobody reaches through.',
      confirm: 'The guard is on',
    },
  } satisfies Record<ProofStep, StepWords> as Readonly<Record<ProofStep, StepWords>>,
  stands: {
    done: 'done',
    'not-here': 'not needed here',
    wrong: 'not right',
    todo: 'to do',
  },
  next: {
    rotation: 'Was the motor wired in this job? See it turn, uncoupled, before the coupling is made up.',
    greased: 'Grease the motor, or say that it needs none.',
    heaters: 'Check the space heaters, or say that there are none.',
    'made-up': 'Make the coupling up and feel its gap.',
    'read-coupled': 'Read one set with the coupling made up.',
    'set-screws': 'Check set screws and keys on both hubs.',
    'hold-down-bolts': 'Check the hold-down bolts at torque.',
    'turns-freely': 'Turn it once round by hand.',
    'guard-on': 'Put the guard on.',
  } satisfies Record<ProofStep, string> as Readonly<Record<ProofStep, string>>,
  whole: 'Proved: made up, tight, turning freely, guard on.',
  wholeDetail: 'Power may come back when locks are taken off by those who hung them.',
  bumping: 'The lockout is off. Which way did it turn?',
  bumpingDetail: 'Hands stay out until it is locked out again.',
  wrongWay: 'It turns the wrong way.',
  wrongWayDetail:
    'A qualified electrician swaps two phases at the isolated, locked-out supply. Then bump it again, still uncoupled.',
  gapOut: (gap: string, window: string) => `The gap is ${gap}, wanted is ${window}.`,
  gapOutDetail: 'Open the coupling, shift a hub or the motor along, make it up and feel again.',
  strained: (by: string) => `The coupling bends the shafts: made up, it reads ${by} from what was read open.`,
  strainedDetail:
    'The open reading stands. Open the coupling and look: a gap too tight, a part bound or the wrong size, hubs pushed together, a spacer too long. Or leave it with a word at the close.',
  unstrained: 'Made up and open read the same, within the limit.',
  limit: 'Limit: half of the tolerance, or what the sets repeat by where that is more.',
  signs: (hour: string) => `Plus is high and toward ${hour}; at the feet it is add and push toward ${hour}.`,
  doubtful: 'The set read made up is doubtful. Read it again.',
  between: (least: string, most: string) => `${least} to ${most}`,
  least: (gap: string) => `${gap} at least`,
  most: (gap: string) => `${gap} at most`,
  opened: (when: string, why: string) => `Opened again ${when}: ${why}`,
  strainedThen: (by: string) => `Made up, it read ${by} from what was read open.`,
  openAtClose: (steps: string) => `Not confirmed in Prove: ${steps}.`,
  power: (by: string) => (by ? `Bump test for rotation, switched by ${by}.` : 'Bump test for rotation.'),
  finding: {
    next: (step: string) => `Next: ${step}`,
    bumping: 'Bump test',
    strained: 'Coupling strain',
    wrongWay: 'Turns the wrong way',
    gapOut: 'Gap out of its window',
    whole: 'Guard on',
  },
  view: {
    note: 'confirm each on the machine, not from memory',
    steps: 'Steps',
    strain: 'Made up against open',
    which: 'What is shown',
    bump: 'Lockout off: bump it',
    bumpBy: 'Switched by (name)',
    cautions: [
      'Coupling halves apart; loose parts out, the key held or taken out.',
      'Motor bolted down, a guard or barrier before its half, everybody clear.',
      'Locks off by those who hung them; switched on by whoever may, for a moment only.',
    ],
    deferring: 'Local codes and the site’s procedure govern.',
    notWired: 'Not wired in this job',
    right: 'The right way',
    wrong: 'The wrong way',
    notHere: 'Not needed here',
    leaveUnread: 'Leave it unread',
    gap: 'Gap between the faces',
    window: (window: string) => `the register wants ${window}`,
    noWindow: 'the register has no window for it',
    open: 'Open it again',
    openTitle: 'Open the coupling again',
    openWhy: 'Why is it opened?',
    openDo: 'It is open',
    read: 'Read it made up',
    readAgain: 'Read another set',
    back: 'Back to the steps',
    name: 'Made up',
    madeUpNow: 'The coupling is made up: what is read now belongs to Prove. Open it there to read on here.',
    lines: { open: 'read open', madeUp: 'read made up' },
    columns: {
      quantity: 'made up less open',
      difference: 'difference',
      limit: 'limit',
      foot: 'what each reading would ask of the feet',
      byOpen: 'by the open reading',
      byMadeUp: 'by the made-up one',
      wrongBy: 'wrong by',
    },
  },
  report: {
    title: 'Proof',
    row: (step: string, by: string) => `${step}: ${by}`,
    made: (gap: string) => (gap ? `Coupling made up, gap ${gap}` : 'Coupling made up'),
    columns: { difference: 'made up less open' },
    notHere: (steps: string) => `Not needed here: ${steps}.`,
    open: (steps: string) => `Not confirmed: ${steps}.`,
    rotation: { right: 'Seen to turn the right way, uncoupled', wrong: 'Seen to turn the wrong way' },
  },
  working: {
    difference: (what: string) => `${what}, made up less open`,
    differenceFormula: 'read made up − read open',
    limit: (what: string) => `${what}: difference against its limit`,
    limitFormula: 'max(half of the tolerance, repeat)',
    wrongBy: (foot: string, plane: string) => `${foot}, ${plane}: the made-up plan would be wrong by`,
    wrongByFormula: 'move by the made-up reading − move by the open one = −(Δoffset + Δslope · x)',
  },
}

export const proveWords = said(prove)
