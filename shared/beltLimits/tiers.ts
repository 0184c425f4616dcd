import {
  beltLimitsFor,
  factorsOf,
  lineLimitsOf,
  ratioAt180Of,
  serviceFactorOf,
  gaugeDeflectionOf,
  spreadLimitOf,
  type BeltLimits,
  roomOf,
  type LimitBy,
  type Ruled,
} from '../../core/belt/beltLimits'
import { driveOf } from '../../core/stages/lineUp/line'
import type { BeltFields } from '../register/beltMachine'

/** What belt drives are judged by, in the order of the work. */
export const BELT_QUANTITIES = [
  'offset',
  'angle',
  'tilt',
  'serviceFactor',
  'ratioAt180',
  'new',
  'run-in',
  'spread',
  'gauge',
  'fitting',
  'takeUp',
] as const
export type BeltQuantity = (typeof BELT_QUANTITIES)[number]
export const BELT_TIERS = ['machine', 'works', 'starting'] as const satisfies readonly LimitBy[]

type Value = number | readonly [number, number] | null
export interface BeltTierRow {
  readonly quantity: BeltQuantity
  /** Core units, shares, or the two factors; null where that tier says nothing. */
  readonly cells: Readonly<Record<LimitBy, Value>>
  readonly wins: LimitBy
}

/** What a drive is asked, quantity by quantity, and who says so. */
const ruledBy = (
  machine: BeltFields,
  beltLimits: readonly BeltLimits[],
): Readonly<Record<BeltQuantity, Ruled<Value>>> => {
  const asked = { ...machine, beltLimits, stock: [], packLimit: 1 }
  const drive = driveOf(asked)
  return {
    ...lineLimitsOf(asked, drive?.span ?? 0),
    ...roomOf(asked),
    serviceFactor: serviceFactorOf(asked),
    ratioAt180: ratioAt180Of(asked),
    new: factorsOf(asked, 'new'),
    'run-in': factorsOf(asked, 'run-in'),
    spread: spreadLimitOf(asked),
    gauge: drive ? gaugeDeflectionOf(asked, drive) : { value: null, by: 'starting', source: '' },
  }
}

/** What each tier says of each quantity of a drive, and which wins: the nearest that says anything. */
export const beltTiers = (machine: BeltFields, inForce: readonly BeltLimits[]): readonly BeltTierRow[] => {
  const near = beltLimitsFor(machine.belts.kind, inForce)
  const bare: BeltFields = {
    ...machine,
    limits: { angle: null, tilt: null, offset: null, source: '' },
    tension: { ...machine.tension, serviceFactor: undefined, stickerDeflection: undefined },
  }
  /** Each tier by itself, nothing nearer in its way. */
  const alone = { machine: ruledBy(machine, []), works: ruledBy(bare, near), starting: ruledBy(bare, []) }
  const together = ruledBy(machine, near)
  return BELT_QUANTITIES.map((quantity) => {
    const says = (tier: LimitBy): Value => {
      const { by, value } = alone[tier][quantity]
      return by === tier ? value : null
    }
    return {
      quantity,
      cells: { machine: says('machine'), works: says('works'), starting: says('starting') },
      wins: together[quantity].by,
    }
  })
}
