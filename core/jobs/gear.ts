import { worstVerdict } from '../judge/judge'
import type { LogEntry } from '../logbook/entry'
import { takenForward } from '../logbook/forward'
import { remember } from '../logbook/remember'
import { keepSkips, NO_SKIPS } from '../logbook/skips'
import { sheetOf, type Skips } from '../logbook/stage'
import type { GearMachine } from '../register/gearMachine'
import { checkBacklash, readBacklash, type Backlash } from '../stages/backlash/read'
import { backlashStage } from '../stages/backlash/stage'
import { keepClosing, type Closing, type ExceptionReason, type Outcome } from '../stages/close/closing'
import { closeStage } from '../stages/close/stage'
import { holesMiss, paintReader, readContact, type Contact } from '../stages/contact/contact'
import {
  keepCleared,
  keepGearRounds,
  NOT_PAINTED,
  type Cleared,
  type GearRounds,
} from '../stages/contact/rounds'
import { contactStage } from '../stages/contact/stage'
import { keepLayers, layersOf, NO_LAYERS, type LayerFacts, type Layers } from '../stages/gearLook/layersFound'
import { gearLookStage } from '../stages/gearLook/stage'
import {
  GEAR_NOT_TIGHTENED,
  gearRecheckOf,
  keepGearTightening,
  type GearRecheck,
  type GearTightening,
} from '../stages/gearTighten/recheck'
import { gearTightenStage } from '../stages/gearTighten/stage'
import { checkLooks, keepLooks, NO_LOOKS, type LookFacts, type Looks } from '../stages/look/looks'
import { keepSafety, UNSAFE, type Safety } from '../stages/makeSafe/safety'
import { makeSafe } from '../stages/makeSafe/stage'
import { keepOpening, keepRemarks, type Opening, type Remarks } from '../stages/open/opening'
import { keepVibration, NO_VIBRATION, type Vibration } from '../stages/open/vibration'
import { keepPattern, type Pattern } from '../stages/pattern/pattern'
import { patternStage } from '../stages/pattern/stage'
import { keepPinsStand, keepRefit, type PinsStand, type Refit } from '../stages/refit/refit'
import { refitStage } from '../stages/refit/stage'
import { checkRunning, keepRunning, type RunFacts, type Running } from '../stages/run/running'
import { runStage } from '../stages/run/stage'
import { kindOfJob } from './kindOfJob'

interface Facts {
  readonly skips: Skips
  readonly opening: Opening
  readonly vibration: Vibration
  readonly safety: Safety
  readonly lookFacts: LookFacts
  readonly layerFacts: LayerFacts
  readonly pattern: Pattern
  readonly refit: Refit
  readonly pins: PinsStand
  readonly cleared: Cleared
  readonly rounds: GearRounds
  readonly tightening: GearTightening
  readonly ran: RunFacts
  readonly remarks: Remarks
  readonly closing: Closing
}
const BLANK: Facts = {
  skips: NO_SKIPS,
  opening: null,
  vibration: NO_VIBRATION,
  safety: UNSAFE,
  lookFacts: NO_LOOKS,
  layerFacts: NO_LAYERS,
  pattern: null,
  refit: null,
  pins: 'unsaid',
  cleared: null,
  rounds: NOT_PAINTED,
  tightening: GEAR_NOT_TIGHTENED,
  ran: [],
  remarks: [],
  closing: null,
}

/** What one entry changes. A line may use only what stands above it. */
const take = remember((now: Facts, e: LogEntry): Facts => ({
  skips: keepSkips(now.skips, e),
  opening: keepOpening(now.opening, e),
  vibration: keepVibration(now.vibration, e),
  safety: keepSafety(now.safety, e),
  lookFacts: keepLooks(now.lookFacts, e),
  layerFacts: keepLayers(now.layerFacts, e),
  pattern: keepPattern(now.pattern, e),
  refit: keepRefit(now.refit, e),
  pins: keepPinsStand(now.pins, e),
  cleared: keepCleared(now.cleared, e),
  rounds: keepGearRounds(now.rounds, e),
  // Set against what stood before this entry.
  tightening: keepGearTightening(now.tightening, e, now.rounds),
  ran: keepRunning(now.ran, e),
  remarks: keepRemarks(now.remarks, e),
  closing: keepClosing(now.closing, e),
}))

/** Everything the logbook of a gearset's job says, derived. Core units throughout; zones in percent of the face width. */
export interface GearState extends Facts {
  readonly machine: GearMachine
  readonly rpm: number
  readonly looks: Looks
  readonly layers: Layers
  /** The gearset is, or is to be, taken apart in this job. */
  readonly opensUp: boolean
  readonly contact: Contact
  readonly backlash: Backlash
  readonly gearRecheck: GearRecheck
  /** Blocks or gear stand so far from their old holes that these are reamed. */
  readonly mustReam: boolean
  readonly running: Running
  readonly outcome: Outcome
}

const outcomeOf = ({
  skips,
  contact,
  backlash,
  gearRecheck,
  pins,
  running,
}: Omit<GearState, 'outcome'>): Outcome => {
  const read = [contact.left?.figures?.verdict ?? 'unknown', backlash.left?.verdict ?? 'unknown'] as const
  const verdict = worstVerdict(read)
  const exceptions: ExceptionReason[] = verdict === 'out' ? ['out'] : []
  if (!contact.left && !backlash.left) exceptions.push('unmeasured')
  else {
    const passed = skips.once
    if (!contact.left && !passed.has('contact')) exceptions.push('contact-unread')
    if (!backlash.left && !passed.has('backlash')) exceptions.push('backlash-unread')
    if ((contact.left && !contact.now) || (backlash.left && !backlash.now)) exceptions.push('corrected-since')
    const tight = gearRecheck.entry !== null && gearRecheck.missing.length === 0
    if (gearRecheck.loosened && !tight && !passed.has('tighten')) exceptions.push('gear-untightened')
  }
  if (pins === 'out') exceptions.push('pins-out')
  // What was passed over with a word is not asked for once more.
  const unknown = contact.left !== null && contact.left.figures === null
  if (unknown) exceptions.push('unknown')
  if (running.bad.length > 0) exceptions.push('runs-badly')
  return { verdict, exceptions }
}

/** What follows from the facts. */
const workOut = (machine: GearMachine, facts: Facts): GearState => {
  const { refit, rounds, pattern, opening, layerFacts, tightening } = facts
  const contact = readContact(machine, pattern, rounds, refit !== null)
  const readPaint = paintReader(machine, pattern)
  const layers = layersOf(machine, layerFacts)
  const loosened = refit !== null || rounds.length > 1
  const state = {
    ...facts,
    machine,
    rpm: opening?.payload.rpm ?? machine.rpm,
    looks: checkLooks(machine, facts.lookFacts),
    layers,
    opensUp:
      refit !== null ||
      layerFacts.marked !== null ||
      facts.pins === 'out' ||
      (opening !== null && opening.payload.reason !== 'planned'),
    contact,
    backlash: checkBacklash(machine, rounds, layers),
    gearRecheck: gearRecheckOf(tightening, loosened, {
      contact: (e) => e && readPaint(e),
      backlash: (e) => e && readBacklash(machine, e),
    }),
    mustReam: holesMiss(contact),
    running: checkRunning(machine, facts.ran),
  }
  return { ...state, outcome: outcomeOf(state) }
}

/** The run sheet of a gearset's job, in working order. */
export const GEAR_STAGES = [
  makeSafe,
  gearLookStage,
  patternStage,
  refitStage,
  contactStage,
  backlashStage,
  gearTightenStage,
  runStage,
  closeStage,
] as const
export type GearStageId = (typeof GEAR_STAGES)[number]['id']

const factsOf = takenForward(BLANK, take)

/** Folds the job of a gearset. Entries in logbook order. */
export const gearJob = (machine: GearMachine, logbook: readonly LogEntry[]) => {
  const state = workOut(machine, factsOf(logbook))
  return { kind: 'gear' as const, state, sheet: sheetOf<GearStageId, GearState>(GEAR_STAGES, state) }
}

export const GEAR = kindOfJob(gearJob, GEAR_STAGES)
