import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import type { BeltMachine } from '../register/beltMachine'
import { keepClosing, type Closing, type ExceptionReason, type Outcome } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { keepAlignment, NOT_LINED_UP, type Alignment } from '../stages/lineUp/alignment'
import { lineOfRound, type LineReading } from '../stages/lineUp/line'
import { lineUpStage } from '../stages/lineUp/stage'
import { keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly safety: Safety
  readonly alignment: Alignment
  readonly remarks: Remarks
  readonly closing: Closing
}
const BLANK: Facts = {
  skips: NO_SKIPS,
  opening: null,
  safety: UNSAFE,
  alignment: NOT_LINED_UP,
  remarks: [],
  closing: null,
}

/** What one entry changes. A line may use only what stands above it. */
const take = remember((now: Facts, e: LogEntry): Facts => ({
  skips: keepSkips(now.skips, e),
  opening: keepOpening(now.opening, e),
  safety: keepSafety(now.safety, e),
  alignment: keepAlignment(now.alignment, e),
  remarks: keepRemarks(now.remarks, e),
  closing: keepClosing(now.closing, e),
}))

/** Everything a belt job's logbook says, derived. Core units throughout. */
export interface BeltState extends Facts {
  readonly machine: BeltMachine
  readonly rpm: number
  /** One a round of lining up, the last one under way; null where nothing was read. */
  readonly lines: readonly (LineReading | null)[]
  readonly asFound: LineReading | null
  readonly asLeft: LineReading | null
  readonly outcome: Outcome
}

const outcomeOf = (lines: readonly (LineReading | null)[], asLeft: LineReading | null): Outcome => {
  const exceptions: ExceptionReason[] = []
  if (!asLeft) exceptions.push('unmeasured')
  else if (lines[lines.length - 1] === null) exceptions.push('corrected-since')
  if (asLeft?.verdict === 'out') exceptions.push('out')
  return { verdict: asLeft?.verdict ?? 'unknown', exceptions }
}

/** What follows from the facts. */
const workOut = (machine: BeltMachine, facts: Facts): BeltState => {
  const lines = facts.alignment.map((round) => lineOfRound(round, machine))
  const read = lines.filter((l) => l !== null)
  const asLeft = read[read.length - 1] ?? null
  return {
    ...facts,
    machine,
    rpm: facts.opening?.payload.rpm ?? machine.rpm,
    lines,
    asFound: lines[0] ?? null,
    asLeft,
    outcome: outcomeOf(lines, asLeft),
  }
}

/** The run sheet of a belt job, in working order. */
export const BELT_STAGES = [makeSafe, lineUpStage, closeStage] as const
export type BeltStageId = (typeof BELT_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds a belt job. Entries in logbook order. */
export const beltJob = (machine: BeltMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  return { kind: 'belt' as const, state, sheet: sheetOf<BeltStageId, BeltState>(BELT_STAGES, state) }
}
