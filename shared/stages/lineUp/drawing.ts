import { degrees, gapFigure } from '../../wording/figures'
import { otherSheave, type SheavePlace } from '../../../core/register/beltMachine'
import type { BeltMachine } from '../../../core/register/machine'
import type { LineRound } from '../../../core/stages/lineUp/alignment'
import type { LineStep } from '../../../core/stages/lineUp/entries'
import { grooveDepth, type LineReading } from '../../../core/stages/lineUp/line'
import { toCore, type Millimetres } from '../../../core/units/unitSystem'
import { beltsWords } from '../../wording/en'
import { cureSteps, type CureStep } from '../../wording/lines'
import type { Telling } from '../../wording/telling'
import { boardBegun, type Contact, type LineTexts, type Touch } from './form'

/** What the sheave faces from above show. Lengths in millimetres. */
export interface LineDrawing {
  readonly edgeOn: SheavePlace
  readonly edgeSide: 'outer' | 'inner'
  readonly contacts: Readonly<Record<Contact, Touch>>
  readonly gaps: Readonly<Record<'p1' | 'p2' | 'r1' | 'r2', Millimetres>>
  /** Depth from the face under the edge to the groove centre. */
  readonly depths: { readonly reference: Millimetres; readonly other: Millimetres }
  /** Words at their places; null before anything is read. */
  readonly figures: {
    readonly offset: string
    readonly offsetOut: boolean
    readonly turn: string
    readonly tilt: string
    readonly depthReference: string
    readonly depthOther: string
  } | null
  /** What is left once the steps were done, said and drawn; null where there is nothing to do. */
  readonly after?: { readonly name: string; readonly offset: string; readonly turn: string } | null
}

const NO_GAPS = { p1: 0, p2: 0, r1: 0, r2: 0 }

const gapsOf = ({ reading }: LineRound): LineDrawing['gaps'] => {
  if (!reading) return NO_GAPS
  const { units, p1, p2, reference } = reading.payload
  const mm = (x: number) => toCore(x, 'distance', units)
  return { p1: mm(p1), p2: mm(p2), r1: mm(reference?.r1 ?? 0), r2: mm(reference?.r2 ?? 0) }
}

const ofGap = (gap: number): Touch => (gap > 0 ? 'gap' : 'touch')
const ofTouch = (touches: boolean): Touch => (touches ? 'touch' : 'gap')

/** Gaps that were read say more than the quick check: a rim with a gap stands off. */
const contactsOf = ({ reading, contacts }: LineRound): LineDrawing['contacts'] | null => {
  if (reading) {
    const { p1, p2, reference } = reading.payload
    return {
      referenceFar: ofGap(reference?.r1 ?? 0),
      referenceNear: ofGap(reference?.r2 ?? 0),
      otherNear: ofGap(p1),
      otherFar: ofGap(p2),
    }
  }
  if (!contacts) return null
  const { reference, other } = contacts.payload
  return {
    referenceFar: ofTouch(reference.far),
    referenceNear: ofTouch(reference.near),
    otherNear: ofTouch(other.near),
    otherFar: ofTouch(other.far),
  }
}

/** What the board draws: what is being typed and tapped, else what was read last in this round. */
export const drawLine = (
  typed: LineTexts,
  round: LineRound,
  line: LineReading | null,
  machine: BeltMachine,
  telling: Telling,
): LineDrawing => {
  const begun = boardBegun(typed)
  const { edgeOn, edgeSide } = begun ? typed : ((round.reading ?? round.contacts)?.payload ?? typed)
  const grooves = begun ? typed.more?.grooves : round.reading?.payload.grooves
  const depthOf = (place: SheavePlace) =>
    toCore(grooveDepth(machine.sheaves[place], edgeSide, grooves?.[place] ?? 1), 'distance', machine.units)
  const depths = { reference: depthOf(edgeOn), other: depthOf(otherSheave(edgeOn)) }
  const shown = (mm: Millimetres) => gapFigure(mm, telling)
  return {
    edgeOn,
    edgeSide,
    contacts: (begun ? null : contactsOf(round)) ?? typed.contacts,
    gaps: line ? gapsOf(round) : NO_GAPS,
    depths,
    figures: line && {
      offset: shown(Math.abs(line.errors.offset)),
      offsetOut: line.quantities.some((q) => q.name === 'offset' && q.verdict === 'out'),
      turn: degrees(Math.abs(line.errors.turn)),
      tilt: line.errors.tilt === null ? '' : degrees(Math.abs(line.errors.tilt)),
      depthReference: shown(depths.reference),
      depthOther: shown(depths.other),
    },
    after: line && afterSteps(line, cureSteps(line, machine, edgeSide, telling), telling),
  }
}

/** What is left once the steps that have something to do were done. */
const afterSteps = (
  line: LineReading,
  steps: readonly CureStep[],
  telling: Telling,
): LineDrawing['after'] => {
  const done = steps.filter((s) => s.figure !== '')
  const [first, last] = [done[0], done[done.length - 1]]
  const left = line.corrections.after.find((a) => a.step === last?.step)
  if (!first || !last || !left) return null
  const w = beltsWords(telling.words).predicted
  return {
    name: w.after(w.steps(first.number, last.number)),
    offset: gapFigure(Math.abs(left.offset), telling, true),
    turn: degrees(Math.abs(left.turn)),
  }
}

/** The arrows on the motor's base: which way its far end turns and the sheave slides. Null: nothing to do. */
export interface BaseMarks {
  readonly turn: { readonly number: number; readonly figure: string; readonly away: boolean } | null
  readonly slide: { readonly number: number; readonly down: boolean } | null
}

/** Where on the drawn base each step of a cure is done, under the step's own number. */
export const markBase = (
  line: LineReading,
  steps: readonly CureStep[],
  edgeSide: 'outer' | 'inner',
  telling: Telling,
): BaseMarks => {
  const numberOf = (step: LineStep) => steps.find((s) => s.step === step && s.figure !== '')?.number ?? null
  const { turn, offset } = line.corrections
  const [turned, slid] = [numberOf('turn'), numberOf('offset')]
  return {
    turn:
      turned === null
        ? null
        : {
            number: turned,
            figure: gapFigure(Math.abs(turn.farEndSlide), telling, true),
            away: turn.farEndSlide > 0,
          },
    // A slide is positive away from the edge; drawn with the outer faces on top that is down.
    slide: slid === null ? null : { number: slid, down: offset.sheaveSlide > 0 === (edgeSide === 'outer') },
  }
}
