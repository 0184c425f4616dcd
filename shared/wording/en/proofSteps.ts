import type { ProofStep } from '../../../core/stages/prove/checkProof'
import { said } from '../words'

interface StepWords {
  readonly name: string
  readonly detail: string
  /** The button that says it is so. */
  readonly confirm: string
}

/** The steps of the proof: what each is called, asks and confirms. */
export const proofSteps = {
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
} satisfies Record<ProofStep, StepWords> as Readonly<Record<ProofStep, StepWords>>

export const proofStepsWords = said(proofSteps)
