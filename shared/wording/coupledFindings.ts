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
import { feetWords, findingsWords } from './en'
import type { CoupledStageId, CoupledState } from '../../core/jobs/coupled'
import type { Job } from '../../core/jobs/jobs'
import type { MachineRole } from '../../core/plan/pairNames'
import { figure } from './figures'
import { type Telling, farEnd } from './telling'
import { findingOfSetUp, measurementFinding } from './measuredFindings'
import { closingFinding, findingsOfRows, safetyFinding, type Findings } from './commonFindings'

/** What each stage of a coupled job found. A missing stage fails to compile. */
const FOUND: {
  readonly [S in CoupledStageId]: (state: CoupledState, telling: Telling) => string
} = {
  'make-safe': (s, t) => safetyFinding(s.safety, t),
  open: findingOfOpening,
  look: (s, t) => findingOfLooks(s.looks, t),
  feet: (s, t) => findingOfFeet(s.feetCheck, s.machine, t),
  level: (s, t) => findingOfLevelStage(s.levels, s.runouts, t),
  'rough-in': (s, t) => findingOfRoughIn(s.roughIn, movableName(s), t),
  'set-up': findingOfSetUp,
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

/** What each stage of a coupled job found, for its run sheet. */
export const coupledFindings = (job: Job, telling: Telling): Findings =>
  job.kind === 'coupled'
    ? findingsOfRows(job, (id) => FOUND[id as CoupledStageId](job.state, telling), telling)
    : {}
