import { tensionBand, type Interval, type TensionBand } from '../../belt/tensionBand'
import { RATIO_AT_180, type BeltAge, type BeltLoad, type BeltSpring } from '../../belt/tension'
import type { BeltDrive } from '../../belt/geometry'
import type { BeltMachine } from '../../register/beltMachine'
import { toCore, type KilogramsPerMetre, type Newtons } from '../../units/unitSystem'

/** Used where the register says no service factor (docs/methods/belt-tension.md); the maker's sheet rules. */
export const STARTING_SERVICE_FACTOR = 1.3
const KILOWATT = 1000

/** Axial stiffness EA of one belt as registered; 0 where it is unknown. */
export const stiffnessOf = (machine: BeltMachine): Newtons =>
  machine.belts.stiffness === undefined ? 0 : toCore(machine.belts.stiffness, 'force', machine.units)

/** Mass of one belt; null where the register doesn't say it. */
export const massOf = (machine: BeltMachine): KilogramsPerMetre | null =>
  machine.belts.mass === undefined ? null : toCore(machine.belts.mass, 'massPerLength', machine.units)

/** Belts that one push takes together: those of a joined band, else one. */
export const pushedTogether = ({ belts }: BeltMachine): number => (belts.kind === 'joined' ? belts.count : 1)

/** What its power and speed ask of its belts; null where something of it is unknown, or its belts don't pull by friction in a groove. */
export const loadOf = (machine: BeltMachine, drive: BeltDrive): BeltLoad | null => {
  const mass = massOf(machine)
  const { kind, count } = machine.belts
  if (mass === null || machine.powerKw === undefined || (kind !== 'v' && kind !== 'joined')) return null
  const motor = toCore(machine.sheaves.motor.pitchDiameter, 'distance', machine.units)
  return {
    power: machine.powerKw * KILOWATT,
    // The small sheave turns faster by the ratio of the diameters where it isn't the motor's.
    rpm: (machine.rpm * motor) / drive.small,
    serviceFactor: machine.tension?.serviceFactor ?? STARTING_SERVICE_FACTOR,
    belts: count,
    mass,
    ratioAt180: RATIO_AT_180,
  }
}

/** The band that rules for belts of this age, and where it comes from; null where nothing gives one. */
export const bandOf = (
  machine: BeltMachine,
  drive: BeltDrive,
  spring: BeltSpring,
  age: BeltAge,
): TensionBand | null => {
  const { stickerLow: low, stickerHigh: high, stickerDeflection: at } = machine.tension ?? {}
  const own = (x: number, of: 'force' | 'distance') => toCore(x, of, machine.units)
  // A joined band's sticker is for all its belts together; tension is reckoned a belt.
  const together = pushedTogether(machine)
  const sticker =
    low === undefined || high === undefined || at === undefined
      ? null
      : {
          force: [own(low, 'force') / together, own(high, 'force') / together] as Interval,
          deflection: own(at, 'distance'),
        }
  const load = loadOf(machine, drive)
  const band = tensionBand(drive, spring, age, {
    ...(sticker ? { sticker } : {}),
    ...(load ? { load } : {}),
  })
  return band.ok ? band.value : null
}
