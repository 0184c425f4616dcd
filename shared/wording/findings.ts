import { movableName } from './machineNames'
import {
  findingOfHot,
  findingOfFeet,
  findingOfLooks,
  findingOfProof,
  findingOfOpening,
  findingOfLevelStage,
  findingOfTarget,
  findingOfRoughIn,
} from './stageFindings'
import { feetWords, safetyWords, sheetWords, verdictsWords, setsWords, findingsWords } from './en'
import dayjs from 'dayjs'
import type { BeltStageId, BeltState } from '../../core/jobs/belt'
import type { CoupledStageId, CoupledState } from '../../core/jobs/coupled'
import type { Job } from '../../core/jobs/jobs'
import type { MachineRole } from '../../core/plan/movePlan'
import type { Closing } from '../../core/stages/close/closing'
import type { Safety } from '../../core/stages/makeSafe/safety'
import type { Measurement } from '../../core/stages/measure/measurement'
import { firstSag, hasSag } from '../methods/forms'
import { figure, degrees, gapFigure } from './figures'
import { type Telling, farEnd } from './telling'

const time = (iso: string) => {
  const at = new Date(iso)
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
}

const day = (iso: string) => dayjs(iso).format('D MMM YYYY')

const safetyFinding = (s: Safety, { words }: Telling): string => {
  const w = safetyWords(words)
  if (s.waived) return w.waivedFinding
  if (s.lost) return w.lostFinding
  if (s.confirmed.length === 0) return ''
  const next = s.missing[0]
  if (next) return w.next(w.points[next].name.toLowerCase()).replace(/\.$/, '')
  return w.lockedOut(time(s.confirmed[s.confirmed.length - 1]?.madeAt ?? ''))
}

const measurementFinding = (m: Measurement | undefined, { words }: Telling): string => {
  if (!m || m.sets.length === 0) return ''
  const w = setsWords(words)
  if (m.trust === 'agreed')
    return `${w.agree(m.used.length)}: ${verdictsWords(words)[m.judgement?.verdict ?? 'unknown'].toLowerCase()}`
  return `${w.count(m.sets.length)}. ${w.trust[m.trust]}`
}

const closingFinding = (closing: Closing, { words }: Telling): string =>
  closing ? findingsWords(words).signed(day(closing.receivedAt ?? closing.madeAt)) : ''

/** What each stage of a coupled job found. A missing stage fails to compile. */
const COUPLED: {
  readonly [S in CoupledStageId]: (state: CoupledState, telling: Telling) => string
} = {
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  open: findingOfOpening,
  look: (s, t) => findingOfLooks(s.looks, t),
  feet: (s, t) => findingOfFeet(s.feetCheck, s.machine, t),
  level: (s, t) => findingOfLevelStage(s.levels, s.runouts, t),
  'rough-in': (s, t) => findingOfRoughIn(s.roughIn, movableName(s), t),
  'set-up': ({ setUp }, { words, units }) => {
    if (!setUp) return ''
    const w = findingsWords(words).setUp
    const { why } = setUp.entry.payload
    if (!setUp.holdsZero) return why === '' ? w.missesZero : w.missesZeroWhy(why)
    return w.with(
      setsWords(words).methods[setUp.how.method],
      hasSag(setUp.how) ? figure(firstSag(setUp.how), 'displacement', units) : '',
    )
  },
  'as-found': (s, t) => measurementFinding(s.measurements[0], t),
  target: (s, t) => findingOfTarget(s.coldTarget, s.tolerance, farEnd(s.feet.movable, t), t),
  plan: ({ plan }, { words, units }) => {
    if (!plan) return ''
    const { moves, planes } = plan.footwork
    const lifts = (machine: MachineRole) => {
      const own = moves.filter((m) => m.machine === machine)
      return own.some((m) => m.v !== 0)
        ? own.map((m) => figure(m.v, 'displacement', units, { sign: true })).join(' / ')
        : ''
    }
    const [own, driven] = [lifts('movable'), lifts('stationary')]
    return planes.v
      ? findingsWords(words).plan.lifts(
          [own, driven && feetWords(words).driven(driven)].filter(Boolean).join(', '),
        )
      : findingsWords(words).plan.side
  },
  move: ({ moves }, { words }) => (moves.length === 0 ? '' : findingsWords(words).moves(moves.length)),
  're-measure': (s, t) => measurementFinding(s.moves.length > 0 ? s.latest : undefined, t),
  prove: findingOfProof,
  'hot-check': findingOfHot,
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** What each stage of a belt job found. */
const BELT: {
  readonly [S in BeltStageId]: (state: BeltState, telling: Telling) => string
} = {
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  'line-up': ({ lines }, telling) => {
    const w = findingsWords(telling.words).line
    const now = lines[lines.length - 1]
    if (!now) return lines.length > 1 ? w.corrected : ''
    return w.found(gapFigure(Math.abs(now.errors.offset), telling, true), degrees(Math.abs(now.errors.turn)))
  },
  close: ({ closing }, t) => closingFinding(closing, t),
}

/** One line of what each stage found, for the run sheet, by stage. Empty while there is nothing to say. */
export const findingsOf = (job: Job, telling: Telling): Readonly<Record<string, string>> => {
  const passed = (id: string, found: string): string => {
    const skipped = job.sheet.rows.find((r) => r.id === id)?.skipped
    return skipped ? sheetWords(telling.words).passedOver(skipped) : found
  }
  const rows =
    job.kind === 'coupled'
      ? job.sheet.rows.map((r) => [r.id, passed(r.id, COUPLED[r.id](job.state, telling))])
      : job.sheet.rows.map((r) => [r.id, passed(r.id, BELT[r.id](job.state, telling))])
  return Object.fromEntries(rows) as Record<string, string>
}
