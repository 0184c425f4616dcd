import type { Knex } from 'knex'
import { ALIGNED, lineSum, type Misalignment } from '../../core/frame/planes'
import type { EntryBody, EntryPayloads, SetUpPayload } from '../../core/logbook/entry'
import { foldJob, type JobState } from '../../core/logbook/foldJob'
import { planChanges, plansFor } from '../../core/logbook/planning'
import { SAFETY_POINTS } from '../../core/logbook/entry'
import { normalFrom, seededRandom, type Random } from '../../core/random/random'
import { EXACT_DIAL } from '../../core/simulate/dialGauge'
import { simulateFace, simulateRim } from '../../core/simulate/dialReadings'
import { fromCore, toCore } from '../../core/units/unitSystem'
import { addEntry, openJob, readJob } from '../../server/jobs/logbook'
import { inputToCore } from '../../shared/calculation/unitConversion'
import { couplingLine } from '../../shared/calculation/fields'
import type { MachineFields, MachineSnapshot } from '../../shared/register/machine'
import { demoId } from './works'

const CLOCKS = [0, 90, 180, 270]
const MINUTE = 60_000

/** A misread digit in a simulated set: which dial, where, by how much (contract units). */
interface Misread {
  readonly dial: 'rim' | 'face'
  readonly clock: number
  readonly by: number
}

/**
 * Writes one demo job through the same door as a person: readings come from a simulated machine,
 * plans from the planner, moves change the simulated machine. Deterministic for a job name.
 */
export class JobWriter {
  private readonly random: Random
  private readonly normal: Random
  private clock: number
  private count = 0
  private truth: Misalignment
  private machine!: MachineSnapshot
  private readonly jobId: string

  constructor(
    private readonly knex: Knex,
    private readonly fields: MachineFields,
    private readonly name: string,
    private readonly author: string,
    start: Date,
    truth: Misalignment,
  ) {
    this.jobId = demoId(`job/${name}`)
    this.clock = start.getTime()
    this.truth = inputToCore(couplingLine, truth, fields.units)
    this.random = seededRandom([...name].reduce((s, c) => (Math.imul(s, 31) + c.charCodeAt(0)) | 0, 7))
    this.normal = normalFrom(this.random)
  }

  private draft(body: EntryBody) {
    const id = demoId(`entry/${this.name}/${this.count++}`)
    return { id, author: this.author, madeAt: new Date(this.clock).toISOString(), supersedes: null, ...body }
  }

  /** Appends an entry some minutes after the last one. */
  async write(body: EntryBody, minutes = 4): Promise<void> {
    this.clock += minutes * MINUTE
    await addEntry(this.knex, this.jobId, this.draft(body), new Date(this.clock))
  }

  async open(payload: EntryPayloads['job-opened']): Promise<this> {
    await openJob(
      this.knex,
      { id: this.jobId, machine: this.fields.tag, opening: this.draft({ kind: 'job-opened', payload }) },
      new Date(this.clock),
    )
    this.machine = (await readJob(this.knex, this.jobId)).machine
    return this
  }

  async makeSafe(permit = ''): Promise<this> {
    for (const point of SAFETY_POINTS)
      await this.write({ kind: 'safety-confirmed', payload: { point, permit } }, 3)
    return this
  }

  /** Sets up as registered, with this bar sag and these graduations (contract units). */
  async setUp(sag: number, graduation: number): Promise<this> {
    const { usual, feet, units } = this.fields
    const payload: SetUpPayload = {
      units,
      method: 'rim-face',
      turning: 'both',
      rim: {
        carriedBy: usual.carriedBy,
        plane: usual.rimPlane,
        sag,
        sagForm: 'hang',
        graduation,
        readingSign: 1,
      },
      face: {
        plunger: usual.plunger,
        diameter: usual.faceDiameter,
        diameterForm: 'diameter',
        sag: 0,
        graduation,
        readingSign: 1,
      },
      feet: feet.map(({ id, x }) => ({ id, x })),
      returned: { rim: 0, face: 0 },
    }
    await this.write({ kind: 'set-up', payload }, 15)
    return this
  }

  private async state(): Promise<JobState> {
    const { machine, entries } = await readJob(this.knex, this.jobId)
    return foldJob(machine, entries)
  }

  /** Reads one set off the simulated machine. */
  async read(misread?: Misread): Promise<this> {
    const { units } = this.fields
    const setUp = (await this.state()).setUp
    if (!setUp) throw new Error('The demo job reads before it sets up.')
    const dial = { ...EXACT_DIAL, graduation: setUp.graduation.rim, noise: setUp.graduation.rim * 0.35 }
    const typed = (which: 'rim' | 'face', list: readonly { clock: number; value: number }[]) =>
      list.map(({ clock, value }) => ({
        clock,
        value:
          Number(fromCore(value, 'displacement', units).toFixed(4)) +
          (misread?.dial === which && misread.clock === clock ? misread.by : 0),
      }))
    const rim = typed('rim', simulateRim(this.truth, { ...setUp.rim }, CLOCKS, dial, this.normal))
    const face = typed(
      'face',
      simulateFace(this.truth, { ...setUp.face, sag: setUp.face.sag ?? 0 }, CLOCKS, dial, this.normal),
    )
    await this.write(
      { kind: 'readings-taken', payload: { units, rim, face, returned: { rim: 0, face: 0 } } },
      9,
    )
    return this
  }

  /** Takes the closest plan, and makes it unless only planning is wanted. */
  async move(made = true): Promise<this> {
    const { units } = this.fields
    const plan = plansFor(this.machine, await this.state())?.plans[0]
    if (!plan) throw new Error('The demo job has nothing to plan from.')
    const { changes, side } = planChanges(plan, units)
    await this.write({ kind: 'plan-chosen', payload: { units, option: plan.kind, changes, side } }, 6)
    if (!made) return this
    await this.write({ kind: 'move-made', payload: { units, changes, side, remark: '' } }, 40)
    const settled = await this.state()
    const last = settled.moves[settled.moves.length - 1]
    const scatter = toCore(units === 'inch' ? 0.6 : 0.015, 'displacement', units)
    const error: Misalignment = {
      offset: { v: (this.random() - 0.5) * scatter, h: (this.random() - 0.5) * scatter },
      slope: { v: 0, h: 0 },
    }
    this.truth = lineSum(lineSum(this.truth, last?.footwork.change ?? ALIGNED), error)
    return this
  }

  async close(signedBy: string, remarks: string, exception = ''): Promise<this> {
    await this.write({ kind: 'job-closed', payload: { signedBy, remarks, exception } }, 25)
    return this
  }
}
