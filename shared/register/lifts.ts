import type { MachineSnapshot } from './machine'

/** A record kept while every machine was measured by rim and face and had two named pairs. */
interface First {
  readonly usual: object
  readonly feet: readonly object[]
  readonly stationaryFeet: readonly { readonly id: string; readonly x: number }[]
}

/** The first version of a machine record, lifted to the second; throws when it is not of the first. */
const liftFirstRecord = (old: unknown): unknown => {
  const { usual, feet, stationaryFeet, ...rest } = old as First
  if (!Array.isArray(feet)) throw new Error('not of the first version')
  return {
    ...rest,
    drive: 'coupled',
    usual: { method: 'rim-face', ...usual },
    feet: {
      movable: feet,
      // Nothing was known of what lies under them: they count as not to be moved.
      stationary: [...stationaryFeet]
        .sort((a, b) => b.x - a.x)
        .map(({ id, x }) => ({
          id,
          x,
          existing: { left: [], right: [] },
          maxPack: 0,
          sidePlus: 0,
          sideMinus: 0,
          locked: true,
        })),
    },
  }
}

/** Records and snapshots are kept with the version of their schema; `LIFTS[n]` brings n + 1 to n + 2. */
const LIFTS: readonly ((old: unknown) => unknown)[] = [liftFirstRecord]
export const MACHINE_SCHEMA = LIFTS.length + 1

/** A record of an older version in today's shape; what a lift can't read stays as it is. */
export const liftMachine = (version: number, record: unknown): unknown => {
  try {
    return LIFTS.slice(version - 1).reduce((now, lift) => lift(now), record)
  } catch {
    return record
  }
}

/** A posted record from before drives were named: told by its shape. */
export const liftPostedMachine = (raw: unknown): unknown =>
  typeof raw === 'object' && raw !== null && !('drive' in raw) && 'stationaryFeet' in raw
    ? liftMachine(1, raw)
    : raw

/** A snapshot from the server or this device; it went through the schema before it was kept. */
export const takeSnapshot = (version: number, kept: unknown): MachineSnapshot =>
  liftMachine(version, kept) as MachineSnapshot
