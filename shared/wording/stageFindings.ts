import type { Levels } from '../../core/stages/level/levels'
import { overdueIn } from '../../core/stages/open/kit'
import type { CoupledState } from '../../core/jobs/coupled'
import { shortFoot, riseWords } from './footPlaces'
import type { FeetCheck } from '../../core/stages/feet/feetCheck'
import type { Looks } from '../../core/stages/look/looks'
import { DIAGONALS } from '../../core/feet/softFoot'
import type { Runouts } from '../../core/stages/level/runouts'
import { capital } from './capital'
import type { Telling } from './telling'
import { figure } from './figures'
import type { SettledTolerance } from '../../core/judge/tolerance'
import type { FootedMachine } from '../../core/register/footedMachine'
import { lineWords, openAt, offsetWords } from './directions'
import { readsHot, isUnderWay } from '../../core/stages/hotCheck/hotRun'
import type { RoughIn } from '../../core/stages/roughIn/roughIn'
import { amountsToNothing, type ColdTarget } from '../../core/stages/target/target'
import { findingsWords, proofStepsWords, reasonsWords } from './en'

/** What the sheet says of the hot check. */
export const findingOfHot = (
  { hot, expected }: Pick<CoupledState, 'hot' | 'expected'>,
  { words }: Telling,
): string => {
  const w = findingsWords(words).hot
  const { run } = hot
  if (run.answered) return run.answered.payload.take === 'new' ? w.taken : w.kept
  if (readsHot(run))
    return hot.measurement.sets.length === 0 ? w.stopped : w.sets(hot.measurement.sets.length)
  if (isUnderWay(run)) return w.running
  return expected ? w.provisional : ''
}

/** What the sheet says of levels and run-out. */
export const findingOfLevelStage = (levels: Levels, runouts: Runouts, telling: Telling): string => {
  const w = findingsWords(telling.words).level
  const level = {
    nothing: '',
    'other-first': w.half,
    'this-first': w.half,
    leave: w.leave,
    shim: w.shim,
    level: w.level,
    again: w.again,
  }[levels.says]
  const worst = Math.max(0, ...runouts.surfaces.map((s) => s.result.tir))
  const turned =
    runouts.verdict === null ? '' : w.runout(figure(worst, 'displacement', telling.units, { unit: true }))
  return [level, turned].filter(Boolean).join('. ')
}

/** What the sheet says of the opened machine. */
export const findingOfLooks = (looks: Looks, { words }: Telling): string => {
  const w = findingsWords(words).look
  const { places, unseen, counts, feet } = looks
  const seen = places.length - unseen.length
  return capital(
    [
      looks.pipe?.verdict === 'out' ? w.pipe : '',
      looks.base?.verdict === 'out' ? w.base : '',
      seen === 0 ? '' : unseen.length > 0 ? w.some(seen, places.length) : w.all,
      counts['to-report'] > 0 ? w.report(counts['to-report']) : '',
      feet.some((f) => f.differs) ? w.differs : feet.some((f) => f.found) ? w.shims : '',
      looks.pinsOut ? w.pinsOut : '',
    ]
      .filter(Boolean)
      .slice(0, 2)
      .join(', '),
  )
}

/** One line for the run sheet. */
export const findingOfOpening = (
  { opening, kit }: Pick<CoupledState, 'opening' | 'kit'>,
  { words }: Telling,
): string => {
  if (!opening) return ''
  const w = findingsWords(words).opening
  if (kit && overdueIn(kit).length > 0) return w.overdue
  return kit ? w.taken(kit.payload.instruments.length) : reasonsWords(words)[opening.payload.reason]
}

/** What the sheet says of the proof. */
export const findingOfProof = ({ proof }: Pick<CoupledState, 'proof'>, { words }: Telling): string => {
  const w = findingsWords(words).prove
  if (proof.bumping) return w.bumping
  if (proof.facts.rotation?.payload.seen === 'wrong') return w.wrongWay
  if (proof.gap?.verdict === 'out') return w.gapOut
  if (proof.strain?.strained) return w.strained
  if (proof.next === null) return w.whole
  const begun = proof.rows.some((r) => r.stands !== 'todo')
  return begun ? w.next(proofStepsWords(words)[proof.next].name.toLowerCase()) : ''
}

/** One line of what was found at the hubs, for the run sheet. */
export const findingOfRoughIn = (roughIn: RoughIn, movable: string, telling: Telling): string => {
  const w = findingsWords(telling.words).roughIn
  const reading = roughIn.latest
  if (!reading) return ''
  if (roughIn.stale) return w.moved
  switch (reading.next) {
    case 'uncouple':
      return w.strained
    case 'feel-again':
      return w.again
    case 'vertical':
    case 'horizontal': {
      const plane = reading.next === 'vertical' ? 'v' : 'h'
      const step = reading.steps[plane]
      if (step.verdict === 'out' && step.value !== null)
        return `${capital(movable)} ${offsetWords(step.value, plane, telling)}`
      const opening = reading.openings[plane]
      if (opening.verdict === 'out' && opening.value !== null)
        return w
          .opens(
            figure(Math.abs(opening.value), 'displacement', telling.units, { unit: true }),
            openAt(opening.value, plane, telling),
          )
          .replace(/\.$/, '')
      return plane === 'h' && step.verdict === null ? w.verticalDone : w.more
    }
    case 'all-four':
      return w.more
    case 'axial':
      return w.axial
    case 'done':
      return reading.limits.whole ? w.whole : w.close
  }
}

/** One line of what was found at the feet, for the run sheet. */
export const findingOfFeet = (check: FeetCheck, machine: FootedMachine, telling: Telling): string => {
  const w = findingsWords(telling.words).feet
  const at = check.readings.length - 1
  const reading = check.readings[at] ?? null
  if (!reading) {
    const filled = check.rounds[at - 1]?.filled
    if (filled) return w.filled(shortFoot(machine, filled.payload.change, telling))
    return check.rounds[at]?.gaps ? w.gaps : ''
  }
  const count = reading.byFoot.size
  const worst = riseWords(Math.max(...reading.byFoot.values()), telling)
  if (reading.result.diagnosis === 'rocking' && !reading.result.pipeStrain) {
    const [a, b] = DIAGONALS[reading.result.diagonal ?? '1-3']
    return w.rocks(at + 1, a, b)
  }
  return reading.verdict === 'out' ? w.other(at + 1, worst) : w.sits(count, worst)
}

/** The target in one line of the run sheet. */
export const findingOfTarget = (
  target: ColdTarget,
  tolerance: SettledTolerance,
  far: string,
  telling: Telling,
): string => {
  const w = findingsWords(telling.words).target
  if (target.from === 'none') return w.none
  if (target.payload?.given.way === 'none') return w.straight
  return amountsToNothing(target, tolerance) ? w.alike : w.line(lineWords(target.line, far, telling))
}
