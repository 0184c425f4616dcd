import { coupledJob, type CoupledState } from '../../core/jobs/coupled'
import type { EntryBody, LogEntry } from '../../core/logbook/entry'
import type { MovePlan } from '../../core/plan/movePlan'
import type { Plane } from '../../core/frame/planes'
import type { Random } from '../../core/random/random'
import type { CoupledMachine } from '../../core/register/machine'
import type { SimulatedJob } from '../../core/simulate/jobPopulation'
import { takeSet, type SimulatedCouple } from '../../core/simulate/simulatedCouple'
import { planChanges, plansFor, worthwhilePlan } from '../../core/stages/plan/planning'
import { QUARTERS } from './measuring'

const MIL = 0.0254
const ROOM = 200 * MIL

/** Nine thicknesses, and both pairs on 25 + 20 + 20 mil, so that feet can go down as well as up. */
const SHELF = [1, 2, 3, 4, 5, 10, 20, 25, 50].map((t) => ({ thickness: t * MIL, count: 100 }))
const PACK = [25, 20, 20].map((t) => t * MIL)

/** The machine of a simulated job as the register would have it: metric, by the works' starter rule. */
const machineOf = ({ register, told, rpm }: SimulatedJob): CoupledMachine => ({
  drive: 'coupled',
  units: 'metric',
  rpm,
  usual: {
    method: 'rim-face',
    carriedBy: told.carriedBy,
    rimPlane: register.rimPlane,
    plunger: told.plunger,
    faceDiameter: register.faceDiameter,
  },
  feet: {
    movable: (['inboard', 'outboard'] as const).map((id, i) => ({
      id,
      x: register.feet[i as 0 | 1],
      existing: { left: PACK, right: PACK },
      maxPack: ROOM,
      sidePlus: ROOM,
      sideMinus: ROOM,
      locked: false,
    })),
    stationary: [],
  },
  tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  stock: SHELF,
  packLimit: 4,
})

/** Sets taken before the last one is used as it is. */
const MOST_SETS = 6

/** What a plan asks of the two foot pairs. */
export const askedOf = (plan: Pick<MovePlan, 'moves'>) => {
  const [inboard, outboard] = plan.moves
  return { inboard: inboard ?? { v: 0, h: 0 }, outboard: outboard ?? { v: 0, h: 0 } }
}

/**
 * A simulated job written into a logbook as a tablet writes it: what is read, believed, planned and
 * judged is what the program folds from it and no other arithmetic.
 */
export class StudyJob {
  private readonly machine: CoupledMachine
  private readonly entries: LogEntry[] = []
  private folded: CoupledState | null = null

  constructor(private readonly job: SimulatedJob) {
    const { told, rpm, graduation } = job
    this.machine = machineOf(job)
    this.write({ kind: 'job-opened', payload: { reason: 'planned', rpm, customer: '', note: '' } })
    const dial = { turning: 'both', readingSign: 1 } as const
    this.write({
      kind: 'set-up',
      payload: {
        units: 'metric',
        how: {
          method: 'rim-face',
          given: {
            rim: { ...dial, carriedBy: told.carriedBy, plane: told.rimPlane, sag: told.rimSag },
            faces: [
              { plunger: told.plunger, diameter: told.faceDiameter, sag: told.faceSag, readingSign: 1 },
            ],
          },
        },
        told: { sag: 'hang', circle: 'diameter' },
        feet: (['inboard', 'outboard'] as const).map((pair, i) => ({
          machine: 'movable',
          pair,
          x: told.feet[i as 0 | 1],
        })),
        graduation: { rim: graduation, face: graduation },
        returned: { rim: 0, face: 0 },
        why: '',
      },
    })
  }

  private write(body: EntryBody): LogEntry {
    const entry = {
      ...body,
      id: `${this.entries.length}`,
      author: 'hands',
      madeAt: '2026-01-01T08:00:00.000Z',
      receivedAt: null,
      after: this.entries.at(-1)?.id ?? null,
      before: null,
      supersedes: null,
    } satisfies LogEntry
    this.entries.push(entry)
    this.folded = null
    return entry
  }

  get state(): CoupledState {
    this.folded ??= coupledJob(this.machine, [...this.entries]).state
    return this.folded
  }

  /** One set, rim and face, as the dials show it. */
  readSet(couple: SimulatedCouple, normal: Random): LogEntry {
    const { rim, face, returned } = takeSet(couple, this.job.real, QUARTERS, normal)
    return this.write({
      kind: 'readings-taken',
      payload: { units: 'metric', circles: { rim, face }, returned },
    })
  }

  /** Sets until the program believes them: two that repeat. After six the last is used as it is. */
  measure(couple: SimulatedCouple, normal: Random): void {
    for (let n = 1; n <= MOST_SETS; n++) {
      const set = this.readSet(couple, normal)
      if (this.state.latest.trust === 'agreed') return
      if (n === MOST_SETS)
        this.write({ kind: 'set-used-anyway', payload: { set: set.id, why: 'the last of six' } })
    }
  }

  /** The plan that the view suggests now; null where it has none. */
  suggested(): MovePlan | null {
    return worthwhilePlan(plansFor(this.state)?.plans ?? [])
  }

  /** The suggested plan taken and carried out in one plane; null where nothing is to be done in it. */
  carryOut(plane: Plane): MovePlan | null {
    const plan = this.suggested()
    if (!plan || plan.moves.every((m) => m[plane] === 0)) return null
    const { changes, side } = planChanges(plan, 'metric')
    const sets = [...this.state.latest.used]
    this.write({ kind: 'plan-chosen', payload: { units: 'metric', option: plan.kind, changes, side, sets } })
    const done = plane === 'v' ? { changes, side: [] } : { changes: [], side }
    this.write({ kind: 'move-made', payload: { units: 'metric', ...done, remark: '' } })
    return plan
  }

  /** Whether the program calls it in band, clear of every edge. */
  get clear(): boolean {
    return this.state.latest.judgement?.verdict === 'in'
  }
}
