import { said } from '../words'
import type { StageId } from '../../../core/jobs/jobs'
import type { Mark } from '../../../core/logbook/stage'

/** Phases of a run sheet. */
const phases = {
  prepare: 'Prepare',
  measure: 'Measure',
  correct: 'Correct',
  'line-up': 'Line up',
  'gear-fit': 'Fit',
  tension: 'Tension',
  finish: 'Finish',
}
export type PhaseId = keyof typeof phases

interface StageWords {
  readonly name: string
  readonly phase: PhaseId
  /** The next step of an open job as lists show it. */
  readonly next: string
}

const stages = {
  open: { name: 'Open', phase: 'prepare', next: 'Say why and with what' },
  'make-safe': { name: 'Make safe', phase: 'prepare', next: 'Lock out and confirm it' },
  look: { name: 'Look and clean', phase: 'prepare', next: 'Look the machine over' },
  feet: { name: 'Feet', phase: 'prepare', next: 'Check the feet' },
  level: { name: 'Level and run-out', phase: 'prepare', next: 'Read the level or turn a hub' },
  'rough-in': { name: 'Rough-in', phase: 'prepare', next: 'Rough it in by straightedge' },
  'set-up': { name: 'Set up', phase: 'measure', next: 'Set up the dials' },
  'as-found': { name: 'As found', phase: 'measure', next: 'Read as found, and repeat' },
  target: { name: 'Cold target', phase: 'correct', next: 'Say how it grows when warm' },
  growth: { name: 'Growth', phase: 'correct', next: 'Say how the line grows when warm' },
  'train-plan': { name: 'Plan', phase: 'correct', next: 'Choose the moves' },
  plan: { name: 'Plan', phase: 'correct', next: 'Choose the move' },
  move: { name: 'Move', phase: 'correct', next: 'Make the move' },
  're-measure': { name: 'Re-measure', phase: 'correct', next: 'Measure again' },
  'drum-runout': { name: 'Drum run-out', phase: 'finish', next: 'Turn the drum and true it' },
  prove: { name: 'Prove', phase: 'finish', next: 'Make it up and prove it' },
  'hot-check': { name: 'Hot check', phase: 'finish', next: 'Run it warm and measure' },
  pattern: { name: 'Pattern as found', phase: 'prepare', next: 'Keep the pattern before it is opened' },
  refit: { name: 'Refit and pin', phase: 'gear-fit', next: 'Put it back together' },
  contact: { name: 'Contact', phase: 'gear-fit', next: 'Paint the teeth' },
  backlash: { name: 'Backlash', phase: 'gear-fit', next: 'Read the backlash' },
  'slack-off': { name: 'Slack off', phase: 'prepare', next: 'Slacken the belts' },
  inspect: { name: 'Inspect', phase: 'prepare', next: 'Look the drive over' },
  square: { name: 'Square the motor', phase: 'prepare', next: 'Square the motor' },
  'line-up': { name: 'Line up sheaves', phase: 'line-up', next: 'Line up the sheaves' },
  fit: { name: 'Fit belts', phase: 'tension', next: 'Lay the belts on' },
  tension: { name: 'Tension', phase: 'tension', next: 'Read every belt' },
  tighten: { name: 'Tighten and re-check', phase: 'finish', next: 'Draw it down and read again' },
  run: { name: 'Turn, guard, run', phase: 'finish', next: 'Turn it by hand, guard it, run it' },
  close: { name: 'Close', phase: 'finish', next: 'Close and sign' },
} satisfies Record<StageId, StageWords>

const marks = {
  todo: 'to do',
  stale: 'out of date',
  done: 'done',
  skipped: 'passed over',
  in: 'in band',
  edge: 'on the edge',
  out: 'out',
} satisfies Record<Mark, string>

export const sheet = {
  phases,
  stages: stages as Readonly<Record<StageId, StageWords>>,
  marks,
  passedOver: (why: string) => `Passed over: ${why}`,
}

export const sheetWords = said(sheet)
