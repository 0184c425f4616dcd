import type { DialSet, FaceSet } from '../coupling/dialSet'
import type { FootPlane } from '../coupling/feet'
import { beyondReturnLimit } from '../trust/returnToZero'
import { toCore, type Millimetres, type UnitSystem } from '../units/unitSystem'
import type { EntryOf, SetUpPayload } from './entry'

export type Dial = 'rim' | 'face'
export const DIALS: readonly Dial[] = ['rim', 'face']

/** A set-up in core units, with the entry it came from. */
export interface SetUp {
  readonly entryId: string
  readonly given: SetUpPayload
  readonly units: UnitSystem
  readonly rim: Omit<DialSet, 'readings'>
  readonly face: Omit<FaceSet, 'readings'>
  readonly graduation: Readonly<Record<Dial, Millimetres>>
  readonly feet: readonly FootPlane[]
  readonly returned: Readonly<Record<Dial, Millimetres>>
  /** False when a dial missed zero after the full turn by more than a graduation. */
  readonly holdsZero: boolean
}

/** A set-up entry in core units. */
export const settleSetUp = (entry: EntryOf<'set-up'>): SetUp => {
  const { payload: p } = entry
  const length = (x: number) => toCore(x, 'displacement', p.units)
  const distance = (x: number) => toCore(x, 'distance', p.units)
  const graduation = { rim: length(p.rim.graduation), face: length(p.face.graduation) }
  const returned = { rim: length(p.returned.rim), face: length(p.returned.face) }
  return {
    entryId: entry.id,
    given: p,
    units: p.units,
    rim: {
      carriedBy: p.rim.carriedBy,
      plane: distance(p.rim.plane),
      sag: length(p.rim.sag),
      turning: p.turning,
      readingSign: p.rim.readingSign,
    },
    face: {
      plunger: p.face.plunger,
      diameter: distance(p.face.diameter),
      sag: length(p.face.sag),
      readingSign: p.face.readingSign,
    },
    graduation,
    feet: p.feet.map((f) => ({ id: f.id, x: distance(f.x) })),
    returned,
    holdsZero: DIALS.every((d) => !beyondReturnLimit(returned[d], p.units, graduation[d])),
  }
}
