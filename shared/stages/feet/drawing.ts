import { placeOf } from '../../wording/footPlaces'
import type { FootName } from '../../../core/feet/softFoot'
import { sizeVerdict } from '../../../core/judge/sizeVerdict'
import { SIDES } from '../../../core/plan/pairNames'
import type { FootedMachine } from '../../../core/register/footedMachine'
import type { PairPacks } from '../../../core/register/pair'
import type { Cure } from '../../../core/stages/feet/cure'
import type { FootRef } from '../../../core/stages/feet/entries'
import {
  feltFeet,
  footKeyOf,
  nameOfFoot,
  pairsOutward,
  type FeetReading,
  type FeetRound,
} from '../../../core/stages/feet/feetCheck'
import type { Millimetres } from '../../../core/units/unitSystem'
import type { Telling } from '../../wording/telling'
import { footKey } from '../move/form'
import { crissCross } from './form'

/** One foot as it is drawn: its box, its pack to scale, what goes in, what the round before read. */
export interface DrawnFoot {
  readonly key: string
  readonly ref: FootRef
  /** f1 to f4; empty for a foot between the outer pairs. */
  readonly name: FootName | ''
  readonly place: string
  readonly left: boolean
  /** Its place in the criss-cross, from 0. */
  readonly order: number
  readonly pack: readonly Millimetres[]
  readonly putIn: readonly Millimetres[]
  readonly takenOut: readonly Millimetres[]
  readonly rise: Millimetres | null
  readonly before: Millimetres | null
  readonly mark: 'in' | 'edge' | 'out' | null
  /** The widest gap felt here with the bolts loose; null where none was. */
  readonly gap: Millimetres | null
}

/** Every foot of the movable machine, row by row from the coupling end, the left one before the right one. */
export const drawFeet = (
  given: {
    readonly machine: FootedMachine
    readonly packs: readonly PairPacks[]
    readonly round: FeetRound
    readonly reading: FeetReading | null
    readonly before: FeetReading | null
    readonly cure: Cure | null
  },
  telling: Telling,
): readonly DrawnFoot[] => {
  const { machine, packs, round, reading, before, cure } = given
  const rows = pairsOutward(machine)
  const order = crissCross(rows).map(footKeyOf)
  const felt = new Map(feltFeet(machine, round).map((f) => [footKeyOf(f), f.widest]))
  return rows.flatMap((row) =>
    SIDES.map((side): DrawnFoot => {
      const ref: FootRef = { machine: 'movable', pair: row.id, side }
      const at = footKeyOf(ref)
      const name = nameOfFoot(machine, ref) ?? ''
      const rise = reading?.byFoot.get(at) ?? null
      const cured = cure?.foot === name ? cure : null
      return {
        key: footKey(row.id, side),
        ref,
        name,
        place: placeOf(ref, telling),
        left: side === 'left',
        order: order.indexOf(at),
        pack: packs.find((p) => p.machine === 'movable' && p.id === row.id)?.packs[side] ?? [],
        putIn: cured?.putIn ?? [],
        takenOut: cured?.takenOut ?? [],
        rise,
        before: before?.byFoot.get(at) ?? null,
        mark: rise === null || !reading ? null : sizeVerdict(rise, reading.limit),
        gap: felt.get(at) ?? null,
      }
    }),
  )
}

/** The same feet as a list: f1 to f4 in their order, then those between. */
export const listed = (feet: readonly DrawnFoot[]): readonly DrawnFoot[] =>
  [...feet].sort((a, b) => (a.name || 'f9').localeCompare(b.name || 'f9'))
