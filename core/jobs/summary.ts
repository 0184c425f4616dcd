import type { Misalignment } from '../frame/planes'
import type { VerdictOrUnknown } from '../judge/judge'
import { moveTimes, type MoveTime } from '../history/pace'
import type { Measurement } from '../stages/measure/measurement'
import type { HotCheck } from '../stages/hotCheck/hotCheck'
import type { LineReading } from '../stages/lineUp/line'
import type { NextDue } from '../stages/close/due'
import { netLeaves } from '../stores/stock'
import type { Band } from '../judge/tolerance'
import { backlashWindow } from '../register/gearMachine'
import type { Settings } from '../register/setSheaves'
import { settingsOf, type SheaveReset } from '../register/settings'
import type { TensionRead } from '../stages/tension/tension'
import type { BeltState } from './belt'
import type { CoupledState } from './coupled'
import type { DrumState } from './drum'
import type { FlangeState } from './flange'
import type { ContactRead } from '../stages/contact/contact'
import type { BacklashJudged } from '../stages/backlash/read'
import type { Job } from './jobs'
import type { TrainState } from './train'

/** Offset and slope in core units with their verdict. */
export interface CouplingSummary {
  readonly coupling: Misalignment
  readonly verdict: VerdictOrUnknown
}

/** Offset in millimetres, turn and tilt in radians, with their verdict. */
export interface LineSummary {
  readonly offset: number
  readonly turn: number
  readonly tilt: number | null
  readonly verdict: VerdictOrUnknown
}

/** Static tension a belt in newtons, its band and verdict. */
export interface TensionSummary {
  readonly tension: number
  readonly band: readonly [number, number] | null
  readonly age: 'new' | 'run-in'
  readonly verdict: VerdictOrUnknown
}

/** What the paint of both runs has in common and what sets them apart, percent of the face width, with its verdict. */
export interface ContactSummary {
  readonly together: number
  readonly apart: number
  readonly verdict: VerdictOrUnknown
}

/** What a closed job is looked at again for; missing in jobs folded before that was kept. */
export type DueReason = Pick<NextDue, 'what' | 'words'>

/** What lists show of a job, by its kind. */
export type JobSummaryFigures =
  | {
      readonly due?: DueReason | null
      readonly kind: 'coupled'
      readonly rounds: number
      readonly asFound: CouplingSummary | null
      readonly asLeft: CouplingSummary | null
      /** Leaves that its plan waits to take from the stores, in its own units; missing where there are none. */
      readonly reserves?: readonly number[]
      /** What its moves took; missing while it is open and where that is not known. */
      readonly moveTimes?: readonly MoveTime[]
      /** How it is expected to go as it warms, where no hot check has borne the target out. Missing in jobs folded before that was known. */
      readonly expected?: Misalignment | null
    }
  | {
      readonly due?: DueReason | null
      readonly kind: 'flange' | 'drum'
      readonly rounds: number
      readonly asFound: CouplingSummary | null
      readonly asLeft: CouplingSummary | null
      /** Leaves that its plan waits to take from the stores, in its own units; missing where there are none. */
      readonly reserves?: readonly number[]
    }
  | {
      readonly due?: DueReason | null
      readonly kind: 'train'
      readonly rounds: number
      /** From the driven end on. */
      readonly couplings: readonly {
        readonly id: string
        readonly name: string
        readonly asFound: CouplingSummary | null
        readonly asLeft: CouplingSummary | null
      }[]
      /** Leaves that its plan waits to take from the stores, in its own units; missing where there are none. */
      readonly reserves?: readonly number[]
    }
  | {
      readonly due?: DueReason | null
      readonly kind: 'gear'
      readonly rounds: number
      readonly asFound: ContactSummary | null
      readonly asLeft: ContactSummary | null
      /** Worst reading in millimetres, the machine's own way. */
      readonly backlash: { readonly value: number; readonly verdict: VerdictOrUnknown } | null
    }
  | {
      readonly due?: DueReason | null
      readonly kind: 'belt'
      readonly rounds: number
      readonly asFound: LineSummary | null
      readonly asLeft: LineSummary | null
      /** Tension as it was read first and last; missing in jobs folded before that was kept. */
      readonly tension?: { readonly found: TensionSummary | null; readonly left: TensionSummary | null }
      /** Turns that its sheaves stand open as it was left; missing in jobs folded before that was kept. */
      readonly settings?: Settings
      /** A sheave was found set otherwise than it was left, and the job is still open. */
      readonly reset?: SheaveReset
    }

/** One judged figure of a job for trends and search, core units. */
export interface JobFigure {
  readonly moment: 'as-found' | 'as-left'
  readonly name: string
  readonly value: number
  /** Where the target stood; 0 where the value counts from nothing or is a size without a direction. */
  readonly aim: number
  readonly low: number | null
  readonly high: number | null
  readonly verdict: VerdictOrUnknown
}

const couplingSummary = (m: Measurement | null): CouplingSummary | null =>
  m?.coupling ? { coupling: m.coupling, verdict: m.judgement?.verdict ?? 'unknown' } : null

/** After a visit for the hot check alone: it lies as it was left before, and is judged as it runs. */
const leftHot = ({ cold, judgement }: HotCheck): CouplingSummary | null =>
  cold && judgement && { coupling: cold, verdict: judgement.verdict }

const lineSummary = (l: LineReading | null): LineSummary | null =>
  l && { offset: l.errors.offset, turn: l.errors.turn, tilt: l.errors.tilt, verdict: l.verdict }

const tensionSummary = (read: TensionRead | null): TensionSummary | null =>
  read?.mean == null
    ? null
    : {
        tension: read.mean,
        band: read.band?.tension ?? null,
        age: read.entry.payload.age,
        verdict: read.verdict,
      }

const contactSummary = (read: ContactRead | null): ContactSummary | null =>
  read?.figures
    ? {
        together: read.figures.together,
        apart: read.figures.apart,
        verdict: read.figures.verdict,
      }
    : null

const resetOf = ({ closing, inspection: { settings } }: BeltState): { readonly reset?: SheaveReset } => {
  const found = settings.find((s) => s.opened)
  return found?.entry && !closing
    ? { reset: { place: found.place, was: found.registered, now: found.entry.payload.turns } }
    : {}
}

const dueOf = (job: Job): DueReason | null => {
  const due = job.state.closing?.payload.due
  return due ? { what: due.what, words: due.words } : null
}

/** What the plan that waits wants of the stores; nothing once it is stale or the job is closed. */
const reservesOf = ({
  plan,
  closing,
}: Pick<CoupledState | DrumState | FlangeState | TrainState, 'plan' | 'closing'>): {
  readonly reserves?: readonly number[]
} => {
  if (!plan || plan.stale || closing) return {}
  const { taken } = netLeaves(
    'moved' in plan
      ? plan.entry.payload.changes.filter((c) => !plan.moved.includes(c.machine))
      : plan.entry.payload.changes,
  )
  return taken.length > 0 ? { reserves: taken } : {}
}

/** What its moves took, for the pace of the works: worked out once, as it closes. */
const timesOf = ({
  moves,
  measurements,
  closing,
}: CoupledState): { readonly moveTimes?: readonly MoveTime[] } => {
  const times = closing ? moveTimes(moves, measurements) : []
  return times.length > 0 ? { moveTimes: times } : {}
}

/** What lists show of a folded job. */
export const summaryOf = (job: Job): JobSummaryFigures => {
  switch (job.kind) {
    case 'coupled':
      return {
        due: dueOf(job),
        kind: 'coupled',
        rounds: job.state.moves.length,
        asFound: couplingSummary(job.state.asFound),
        asLeft: couplingSummary(job.state.asLeft) ?? leftHot(job.state.hot),
        expected: job.state.expected,
        ...reservesOf(job.state),
        ...timesOf(job.state),
      }
    case 'flange':
    case 'drum':
      return {
        due: dueOf(job),
        kind: job.kind,
        rounds: job.state.moves.length,
        asFound: couplingSummary(job.state.asFound),
        asLeft: couplingSummary(job.state.asLeft),
        ...reservesOf(job.state),
      }
    case 'train':
      return {
        due: dueOf(job),
        kind: 'train',
        rounds: job.state.rounds,
        couplings: job.state.couplings.map(({ part, state }) => ({
          id: part.id,
          name: part.name,
          asFound: couplingSummary(state.asFound),
          asLeft: couplingSummary(state.asLeft),
        })),
        ...reservesOf(job.state),
      }
    case 'gear': {
      const { contact, backlash, rounds } = job.state
      return {
        due: dueOf(job),
        kind: 'gear',
        rounds: rounds.length - 1,
        asFound: contactSummary(contact.asFound),
        asLeft: contactSummary(contact.left),
        backlash: backlash.left && { value: backlash.left.worst, verdict: backlash.left.verdict },
      }
    }
    case 'belt':
      return {
        due: dueOf(job),
        kind: 'belt',
        rounds: job.state.lines.length - 1,
        asFound: lineSummary(job.state.asFound),
        asLeft: lineSummary(job.state.asLeft),
        tension: {
          found: tensionSummary(job.state.tensionFound),
          left: tensionSummary(job.state.tensionLeft),
        },
        settings: settingsOf(job.state.machine),
        ...resetOf(job.state),
      }
  }
}

/** Names of quantities of one plane. */
const PLANED = /\.[vh]$/

const ofMeasurement = (moment: JobFigure['moment'], m: Measurement | null): readonly JobFigure[] =>
  (m?.judgement?.quantities ?? []).flatMap(({ name, value, aim, low, high, verdict }) =>
    value === null
      ? []
      : [{ moment, name, value, aim: PLANED.test(name) ? (aim ?? 0) : 0, low, high, verdict }],
  )

const ofLine = (moment: JobFigure['moment'], l: LineReading | null): readonly JobFigure[] =>
  (l?.quantities ?? []).map(({ name, value, limit, verdict }) => ({
    moment,
    name: `sheaves.${name}`,
    value,
    aim: 0,
    low: limit === null ? null : -limit,
    high: limit,
    verdict: verdict ?? 'unknown',
  }))

const ofTension = (moment: JobFigure['moment'], t: TensionRead | null): readonly JobFigure[] =>
  t?.mean == null
    ? []
    : [
        {
          moment,
          name: 'belts.tension',
          value: t.mean,
          aim: 0,
          low: t.band?.tension[0] ?? null,
          high: t.band?.tension[1] ?? null,
          verdict: t.verdict,
        },
      ]

const ofDrum = ({ surfaces, limit }: DrumState['drum']): readonly JobFigure[] =>
  surfaces.flatMap(({ surface, turns }): readonly JobFigure[] => {
    const [first] = turns
    const last = turns[turns.length - 1]
    const figure = (moment: JobFigure['moment'], turn: typeof last): readonly JobFigure[] =>
      turn
        ? [
            {
              moment,
              name: `drum.${surface}`,
              value: turn.result.tir,
              aim: 0,
              low: null,
              high: limit,
              verdict: turn.result.verdict,
            },
          ]
        : []
    return [...figure('as-found', first), ...figure('as-left', last)]
  })

const ofContact = (moment: JobFigure['moment'], read: ContactRead | null): readonly JobFigure[] => {
  if (!read?.figures) return []
  const { together, apart, verdicts, quantities } = read.figures
  const limit = quantities.find((q) => q.quantity === 'off')?.high ?? null
  const figure = (name: 'together' | 'apart', value: number): JobFigure => ({
    moment,
    name: `contact.${name}`,
    value,
    aim: 0,
    low: limit === null ? null : -limit,
    high: limit,
    verdict: verdicts[name],
  })
  return [figure('together', together), figure('apart', apart)]
}

const ofBacklash = (
  moment: JobFigure['moment'],
  read: BacklashJudged | null,
  [low, high]: Band,
): readonly JobFigure[] =>
  read
    ? [
        {
          moment,
          name: 'gear.backlash',
          value: read.worst,
          // It is aimed at the middle of its window, and never at none.
          aim: low !== null && high !== null ? (low + high) / 2 : (low ?? high ?? 0),
          low,
          high,
          verdict: read.verdict,
        },
      ]
    : []

/** What the figures of a job come from: while these are the very same, so are they. */
export const figuredFrom = (job: Job): readonly unknown[] => {
  switch (job.kind) {
    case 'belt': {
      const { asFound, asLeft, tensionFound, tensionLeft } = job.state
      return [asFound, asLeft, tensionFound?.entry, tensionLeft?.entry]
    }
    case 'gear': {
      const { contact, backlash } = job.state
      return [contact.asFound, contact.left, backlash.left]
    }
    case 'train':
      return job.state.couplings.flatMap(({ state }) => [state.asFound, state.asLeft])
    case 'drum':
      return [job.state.asFound, job.state.asLeft, ...job.state.drum.surfaces.flatMap((s) => s.turns)]
    default:
      return [job.state.asFound, job.state.asLeft]
  }
}

/** The judged figures of a folded job, as found and as left. */
export const figuresOf = (job: Job): readonly JobFigure[] => {
  switch (job.kind) {
    case 'belt':
      return [
        ...ofLine('as-found', job.state.asFound),
        ...ofTension('as-found', job.state.tensionFound),
        ...ofLine('as-left', job.state.asLeft),
        ...ofTension('as-left', job.state.tensionLeft),
      ]
    case 'train':
      // A figure is known by its coupling: each has its own speed, hence its own limits.
      return job.state.couplings.flatMap(({ part, state }) =>
        [...ofMeasurement('as-found', state.asFound), ...ofMeasurement('as-left', state.asLeft)].map((f) => ({
          ...f,
          name: `${part.id}:${f.name}`,
        })),
      )
    case 'gear': {
      const { contact, backlash, machine } = job.state
      const window = backlashWindow(machine)
      return [
        ...ofContact('as-found', contact.asFound),
        ...ofContact('as-left', contact.left),
        ...ofBacklash('as-left', backlash.left, window),
      ]
    }
    default:
      return [
        ...ofMeasurement('as-found', job.state.asFound),
        ...ofMeasurement('as-left', job.state.asLeft),
        ...(job.kind === 'drum' ? ofDrum(job.state.drum) : []),
      ]
  }
}
