import type { Knex } from 'knex'
import { ALIGNED, lineSum, type Misalignment } from '../../core/frame/planes'
import type { MeasuredState } from '../../core/jobs/measured'
import { METHODS } from '../../core/methods/methods'
import { normalFrom, seededRandom, type Random } from '../../core/random/random'
import { EXACT_DIAL } from '../../core/simulate/dialGauge'
import { readByMethod } from '../../core/simulate/methodReadings'
import type { Found, Place } from '../../core/stages/look/entries'
import type { ProofStep } from '../../core/stages/prove/checkProof'
import { HANDS_IN, type ProofPoint } from '../../core/stages/prove/entries'
import type { SetUpPayload } from '../../core/stages/setUp/entries'
import { fromCore } from '../../core/units/unitSystem'
import { couplingLine } from '../../shared/calculation/fields'
import { inputToCore } from '../../shared/calculation/unitConversion'
import type { CoupledFields } from '../../shared/register/coupledMachine'
import type { DrumFields } from '../../shared/register/drumMachine'
import type { FlangeFields } from '../../shared/register/flangeMachine'
import { usualPositions } from '../../shared/stages/measure/form'
import { JobWriter } from './jobWriter'
import { usualSetUp } from './usualSetUp'
import type { DemoPicture } from './pictures'

/** A misread digit in a simulated set: which circle, where, by how much (contract units). */
interface Misread {
  readonly circle: string
  readonly clock: number
  readonly by: number
}

/** What every demo job that is measured at a coupling does alike: looked over, set up, read, proved. Deterministic for a job name. */
export abstract class MeasuredWriter extends JobWriter {
  protected readonly random: Random
  protected readonly normal: Random
  /** What a coupling that grips adds to the line. */
  protected bent: Misalignment = ALIGNED

  constructor(
    knex: Knex,
    protected readonly machine: CoupledFields | DrumFields | FlangeFields,
    name: string,
    author: string,
    start: Date,
  ) {
    super(knex, machine, name, author, start)
    this.random = seededRandom([...name].reduce((s, c) => (Math.imul(s, 31) + c.charCodeAt(0)) | 0, 7))
    this.normal = normalFrom(this.random)
  }

  protected abstract state(): Promise<MeasuredState>
  /** Where the movable axis stands now. */
  protected abstract line(): Misalignment

  /** What the tape says, as the register has it. */
  private taped(): Pick<SetUpPayload, 'feet' | 'flange'> {
    const { machine } = this
    return machine.drive === 'flange'
      ? {
          feet: [],
          flange: { told: 'circle', across: machine.flange.across, plane: machine.flange.plane },
        }
      : {
          feet: machine.feet.movable.flatMap(({ id, x }) =>
            x === null ? [] : [{ machine: 'movable' as const, pair: id, x }],
          ),
        }
  }

  /** Places looked at, with a picture where there is one. */
  async look(
    places: readonly Place[],
    found: Found,
    words = '',
    pictures: readonly DemoPicture[] = [],
  ): Promise<this> {
    const photographs: string[] = []
    for (const picture of pictures) photographs.push(await this.keepPicture(picture))
    await this.write({ kind: 'place-looked', payload: { places, found, words, photographs } }, 5)
    return this
  }

  /** Every place that nobody has looked at yet is fine. */
  async restIsFine(): Promise<this> {
    const { looks } = await this.state()
    return this.look(looks.unseen, 'fine')
  }

  /** Sets up as registered, with this bar sag and these graduations (contract units). */
  async setUp(sag: number, graduation: number): Promise<this> {
    const { usual, units } = this.machine
    const how = usualSetUp(usual, sag, this.machine.drive === 'drum' ? 'movable' : 'both')
    const circles = METHODS[how.method].circles(how.given as never)
    const each = (x: number) => Object.fromEntries(circles.map((c) => [c, x]))
    await this.write(
      {
        kind: 'set-up',
        payload: {
          units,
          how,
          told: { sag: 'hang', circle: 'diameter' },
          ...this.taped(),
          graduation: each(graduation),
          returned: each(0),
          why: '',
        },
      },
      15,
    )
    return this
  }

  /** Reads one set off the simulated machine. */
  async read(misread?: Misread): Promise<this> {
    const { units } = this.machine
    const { setUp } = await this.state()
    if (!setUp) throw new Error('The demo job reads before it sets up.')
    const dial = { ...EXACT_DIAL, graduation: setUp.coarsest, noise: setUp.coarsest * 0.35 }
    const read = readByMethod(
      setUp.how,
      lineSum(this.line(), this.bent),
      usualPositions(this.machine.drive),
      dial,
      this.normal,
    )
    const circles = Object.fromEntries(
      Object.entries(read).map(([circle, list]) => [
        circle,
        list.map(({ clock, value }) => ({
          clock,
          value:
            Number(fromCore(value, 'displacement', units).toFixed(4)) +
            (misread?.circle === circle && misread.clock === clock ? misread.by : 0),
        })),
      ]),
    )
    await this.write(
      {
        kind: 'readings-taken',
        payload: { units, circles, returned: Object.fromEntries(setUp.circles.map((c) => [c, 0])) },
      },
      9,
    )
    return this
  }

  private async confirm(point: ProofPoint, how: 'done' | 'not-here' = 'done'): Promise<void> {
    await this.write({ kind: 'proof-confirmed', payload: { point, how, words: '' } }, 3)
  }

  /** Bumped uncoupled where it was wired, greased, without heaters. */
  async bump(permit: string): Promise<this> {
    await this.write({ kind: 'bump-begun', payload: { by: 'Shift electrician' } }, 10)
    await this.write({ kind: 'rotation-seen', payload: { seen: 'right', words: '' } }, 2)
    await this.makeSafe(permit)
    return this
  }

  /** Makes the coupling up with this gap (in or mm); `bends` is what it does to the shafts until it is opened again (contract units). */
  async makeUp(gap: number, bends: Misalignment = ALIGNED): Promise<this> {
    const { units } = this.machine
    this.bent = inputToCore(couplingLine, bends, units)
    await this.write({ kind: 'coupling-made-up', payload: { units, gap } }, 20)
    return this
  }

  async openCoupling(why: string): Promise<this> {
    this.bent = ALIGNED
    await this.write({ kind: 'coupling-opened', payload: { why } }, 15)
    return this
  }

  /** Everything that is still to prove; what was not read made up stays unread. */
  async prove(gap: number): Promise<this> {
    const { proof } = await this.state()
    const todo = (step: ProofStep) => proof.rows.some((r) => r.step === step && r.stands === 'todo')
    if (todo('rotation'))
      await this.write({ kind: 'rotation-seen', payload: { seen: 'not-needed', words: '' } }, 2)
    if (todo('greased')) await this.confirm('greased')
    if (todo('heaters')) await this.confirm('heaters', 'not-here')
    if (todo('made-up')) await this.makeUp(gap)
    if (todo('read-coupled')) await this.confirm('read-coupled', 'not-here')
    for (const point of HANDS_IN) if (todo(point)) await this.confirm(point)
    return this
  }

  /** Set up and read twice. */
  async measure(sag: number, graduation: number): Promise<this> {
    return (await (await this.setUp(sag, graduation)).read()).read()
  }
}
