import { acrossFace } from '../../belt/facePlaces'
import { driveOf } from '../../stages/lineUp/line'
import { bandOf, stiffnessOf } from '../../stages/tension/band'
import type { BeltAge } from '../../belt/tension'
import type { Interval } from '../../belt/tensionBand'
import { pitchLengthAt } from '../../belt/geometry'
import type { SheaveErrors } from '../../belt/sheaveLine'
import { otherSheave, type BeltMachine, type SheavePlace } from '../../register/beltMachine'
import { machineAsSet, type Settings } from '../../register/setSheaves'
import { toCore, type Millimetres, type Newtons } from '../../units/unitSystem'
import { between, chanceFor, signed } from '../chance'
import type { BenchFault, DriveFault } from '../faults'
import type { Hands } from '../hands'

/** What a belt drive on the bench is set up from: the same setting gives the same drive, whoever opens it. */
export interface DriveSetting {
  /** As it is registered, in the record's own units: its motor on a level slide. */
  readonly machine: BeltMachine
  readonly seed: number
  readonly hands: Hands
  readonly faults: readonly BenchFault[]
  /** What lies on the sheaves as the hands come in. */
  readonly belts?: DriveBelts
}

/** Belts that have run for long and hang a little slack, new ones just laid on, or those of old lifted off. */
export type DriveBelts = 'run-in' | 'new' | 'off'

/** Where the bench's motor stands and what its parts measure; millimetres and newtons. */
export interface DriveGeometry {
  readonly footSpacing: Millimetres
  readonly sheaveToFeet: Millimetres
  readonly shaftHeight: Millimetres
  readonly screwPitch: Millimetres
  readonly centre: Millimetres
  /** Out to where blades are tried under an edge. */
  readonly radius: Readonly<Record<SheavePlace, Millimetres>>
  /** From the face turned away from the motor, and the one turned to it, to the first groove from either. */
  readonly depth: Readonly<Record<SheavePlace, { readonly outer: Millimetres; readonly inner: Millimetres }>>
  readonly groovePitch: Millimetres
  readonly grooves: number
}

/** One set of belts: how long each is without tension, and how much longer it grows. */
export interface BeltSetOnBench {
  readonly lengths: readonly Millimetres[]
  /** By what share of its length it grows as it beds in. */
  readonly beds: number
  /** Whether it had run long before anybody came. */
  readonly runIn: boolean
}

/** A belt drive on the bench with everything that is hidden in it. */
export interface DriveBench {
  readonly setting: DriveSetting
  /** The machine as its sheaves really stand. */
  readonly real: BeltMachine
  /** How far its sheaves really stand open, where that is otherwise than registered. */
  readonly settings: Settings
  readonly faults: ReadonlySet<BenchFault>
  readonly geometry: DriveGeometry
  /** How the motor's sheave stands to the driven one, seen from the faces turned away from the motor. */
  readonly found: SheaveErrors & { readonly tilt: number }
  /** Stretch of a belt: newtons a whole length. */
  readonly stiffness: Newtons
  /** Tension that belts of an age want, each. */
  readonly band: Readonly<Record<BeltAge, Interval>>
  /** Sets of belts in the order they are laid on; the first is the one that is there. */
  readonly set: (nth: number) => BeltSetOnBench
  /** How far the motor's sheave wobbles at its face, radians, and where. */
  readonly wobble: { readonly by: number; readonly at: number }
  readonly sticks: boolean
  /** What a push at a belt is read wrongly by, as a share; how far a base end goes as its bolts are drawn down. */
  readonly spread: { readonly force: number; readonly settling: Millimetres }
}

const DEGREE = Math.PI / 180
/** A V-belt stretches by this share under the tension it wants. */
const USUAL_STRAIN = 0.008
/** Days after which two thirds of the bedding-in are over. */
export const BEDDING_DAYS = 0.35

const SPREADS: Readonly<Record<Hands, DriveBench['spread']>> = {
  steady: { force: 0.008, settling: 0.05 },
  ordinary: { force: 0.02, settling: 0.12 },
  tired: { force: 0.045, settling: 0.25 },
}

const geometryOf = (machine: BeltMachine): DriveGeometry => {
  const mm = (x: number) => toCore(x, 'distance', machine.units)
  const { base, sheaves } = machine
  const radius = (p: SheavePlace) => acrossFace(machine, p) / 2
  const depth = (p: SheavePlace) => ({
    outer: mm(sheaves[p].depthOuter),
    inner: mm(sheaves[p].depthInner),
  })
  return {
    footSpacing: mm(base.footSpacing),
    sheaveToFeet: mm(base.sheaveToFeet),
    shaftHeight: mm(base.shaftHeight),
    screwPitch: mm(base.screwPitch ?? (machine.units === 'inch' ? 0.1 : 2)),
    centre: mm(machine.centreDistance),
    radius: { motor: radius('motor'), driven: radius('driven') },
    depth: { motor: depth('motor'), driven: depth('driven') },
    groovePitch: mm(sheaves.motor.groovePitch ?? 0),
    grooves: machine.belts.count,
  }
}

/** The sheave that can be set; null where neither can. */
export const settable = (machine: BeltMachine): SheavePlace | null =>
  (['motor', 'driven'] as const).find((p) => machine.sheaves[p].build?.kind === 'variable') ?? null

/** Band for belts of an age on this machine; where nothing gives one, round the tension that stretches them as usual. */
const bandFor = (machine: BeltMachine, stiffness: Newtons, age: BeltAge): Interval => {
  const drive = driveOf(machine)
  const known = drive && bandOf(machine, drive, { stiffness, sheaves: 'free' }, age)
  return known?.tension ?? (age === 'new' ? [520, 600] : [400, 460])
}

/** A belt drive on the bench, drawn from its setting. Throws where its sheaves would touch. */
export const drawDrive = (setting: DriveSetting): DriveBench => {
  const { machine, seed, hands } = setting
  const faults = new Set(setting.faults)
  const has = (fault: DriveFault) => faults.has(fault)
  const chance = (purpose: string) => chanceFor(seed, purpose)

  const place = settable(machine)
  const build = place && machine.sheaves[place].build
  const opened = chance('setting')
  const settings: Settings =
    place && build?.kind === 'variable' && has('changed-sheave')
      ? { [place]: setOtherwise(build.turnsOpen, build.turnsMost, opened()) }
      : {}
  const real = machineAsSet(machine, settings)
  const geometry = geometryOf(real)
  const drive = driveOf(machine)
  if (!drive) throw new Error('the sheaves of a drive on the bench stand clear of each other')

  const known = stiffnessOf(machine)
  const asked = bandFor(machine, known, 'run-in')
  const stiffness = known > 0 ? known : asked[0] / USUAL_STRAIN

  const lie = chance('lie')
  const turn = has('turned-motor') ? signed(lie, 0.7, 1.1) : signed(lie, 0.02, 0.08)
  const tilt = has('tilted-motor') ? signed(lie, 0.65, 1) : signed(lie, 0.01, 0.06)
  const { motor, driven } = geometry.depth
  const near = signed(lie, 0.2, 0.6)
  // Whoever fitted it slid it out until a rim touched the edge: the faces meet, and the grooves stand apart by what the rims differ.
  const meets = motor.outer - driven.outer + geometry.radius.motor * Math.sin(Math.abs(turn * DEGREE))
  const offset = has('unequal-rims') ? meets : near
  const found = { offset, turn: turn * DEGREE, tilt: tilt * DEGREE }

  const band = { 'run-in': asked, new: bandFor(machine, known, 'new') }
  const wanted = (asked[0] + asked[1]) / 2
  const wob = chance('wobble')
  const odd = chance('odd belt')
  const oddOne = Math.floor(odd() * geometry.grooves)
  const oddBy = between(odd, 0.26, 0.36)
  const [small, large] = [drive.small, drive.large]
  const set = (nth: number): BeltSetOnBench => {
    const random = chanceFor(seed, 'belts', nth)
    const runIn = nth === 0 && setting.belts !== 'new'
    // A run-in set is found a little slack where the motor stands; a new one wants the motor drawn away.
    const share = between(random, 0.72, 0.85) * (wanted / stiffness)
    const fits = pitchLengthAt(small, large, geometry.centre - (runIn ? 0 : between(random, 3, 6)))
    const slack = runIn ? fits / (1 + share) : fits
    return {
      lengths: Array.from({ length: geometry.grooves }, (_, i) => {
        const scatter = between(random, -0.015, 0.015)
        const long = has('mismatched-belt') && nth === 0 && i === oddOne ? oddBy : 0
        return slack * (1 + ((scatter + long) * wanted) / stiffness)
      }),
      beds:
        ((has('bedding-belts') ? between(random, 0.55, 0.65) : between(random, 0.28, 0.33)) * asked[0]) /
        stiffness,
      runIn,
    }
  }
  return {
    setting,
    real,
    settings,
    faults,
    geometry,
    found,
    stiffness,
    band,
    set,
    wobble: {
      by: (has('wobbling-sheave') ? between(wob, 0.45, 0.7) : between(wob, 0, 0.03)) * DEGREE,
      at: 360 * wob(),
    },
    sticks: has('sticking-base'),
    spread: SPREADS[hands],
  }
}

/** A setting some half turns from the registered one, within what its flanges reach. */
const setOtherwise = (registered: number, most: number, chance: number): number => {
  const by = chance < 0.5 ? 1 : 1.5
  return registered + by <= most ? registered + by : Math.max(0, registered - by)
}

/** How the other sheave would be told, were the edge laid elsewhere: from the driven one's outer face to where it lies. */
export const seenFrom = (
  { offset, turn, tilt }: SheaveErrors,
  edgeOn: SheavePlace,
  edgeSide: 'outer' | 'inner',
  centre: Millimetres,
): SheaveErrors => {
  const s = edgeSide === 'outer' ? 1 : -1
  const side = { offset: s * offset, turn: s * turn, tilt: tilt === null ? null : s * tilt }
  if (otherSheave(edgeOn) === 'motor') return side
  return {
    offset: centre * Math.tan(side.turn) - side.offset,
    turn: side.turn,
    tilt: side.tilt === null ? null : -side.tilt,
  }
}
