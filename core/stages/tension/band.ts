import { tensionBand, type Interval, type TensionBand } from '../../belt/tensionBand'
import { bothFactorsOf, ratioAt180Of, serviceFactorOf } from '../../belt/beltLimits'
import type { BeltAge, BeltLoad, BeltSpring } from '../../belt/tension'
import { beltSpeed, type BeltDrive } from '../../belt/geometry'
import { chartOf, sectionMass, tableOf } from '../../belt/sections'
import type { BeltMachine } from '../../register/beltMachine'
import { toCore, type KilogramsPerMetre, type Newtons } from '../../units/unitSystem'

const KILOWATT = 1000

/** Axial stiffness EA of one belt: as registered, else by its section's table; 0 where neither says it. */
export const stiffnessOf = (machine: BeltMachine): Newtons => {
  if (machine.belts.stiffness !== undefined) return toCore(machine.belts.stiffness, 'force', machine.units)
  const table = tableOf(machine)
  return table?.stiffness == null ? 0 : toCore(table.stiffness, 'force', table.units)
}

/** Mass of one belt: as registered, else by its section's table; null where neither says it. */
export const massOf = (machine: BeltMachine): KilogramsPerMetre | null => {
  if (machine.belts.mass !== undefined) return toCore(machine.belts.mass, 'massPerLength', machine.units)
  const table = tableOf(machine)
  return table && sectionMass(table)
}

/** Whose mass it is. */
export const massFrom = (machine: BeltMachine): 'register' | 'site' | 'starting' | null => {
  if (machine.belts.mass !== undefined) return 'register'
  const table = tableOf(machine)
  if (table?.mass == null) return null
  return machine.section ? 'site' : 'starting'
}

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
    serviceFactor: serviceFactorOf(machine).value,
    belts: count,
    mass,
    ratioAt180: ratioAt180Of(machine).value,
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
  const { section } = machine
  const chart = section &&
    section.rows.length > 0 && {
      rows: chartOf(section),
      section: section.section,
      deflection: drive.span / section.spanOver,
      speed: beltSpeed(toCore(machine.sheaves.motor.pitchDiameter, 'distance', machine.units), machine.rpm),
    }
  const band = tensionBand(drive, spring, age, {
    ...(sticker ? { sticker } : {}),
    ...(chart ? { chart } : {}),
    ...(load ? { load, factors: bothFactorsOf(machine) } : {}),
  })
  return band.ok ? band.value : null
}
