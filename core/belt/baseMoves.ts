import type { BaseKind, MotorPlace, Pull } from '../register/beltMachine'

/** Where the motor goes: away from the driven shaft tightens the belts, toward it slackens them. */
export type BaseWay = 'away' | 'toward'
/** The way of the motor in space. Level is across the floor, away from or toward the driven shaft. */
export type Going = 'level' | 'up' | 'down'
/** Nuts of a plate held between two on each rod, by the side of the plate they are on. */
export type NutSide = 'above' | 'below' | 'driven-side' | 'far-side'

/** What is turned on a base to move its motor, and what that does. */
export interface BaseMove {
  readonly turned: 'screws' | 'nuts' | 'bolt'
  readonly way: BaseWay
  readonly going: Going
  /** Of nuts: those eased first, and those that then take the plate along. Null where screws or a bolt do it. */
  readonly nuts: { readonly ease: NutSide; readonly drive: NutSide } | null
  /** How the motor's weight is held meanwhile: what must be blocked before anything is eased. */
  readonly weight: 'on-slide' | 'hangs' | 'stands' | 'swings'
  /** A hinged plate has one bolt: its two ends can't be moved apart. */
  readonly endsApart: boolean
}

/** Which way a motor goes on a base whose belts pull it that way. */
const goingOf = (way: BaseWay, pull: Pull): Going =>
  pull === 'level' ? 'level' : (way === 'away') === (pull === 'down') ? 'up' : 'down'

const EASED: Readonly<Record<Going, (way: BaseWay) => NonNullable<BaseMove['nuts']>>> = {
  up: () => ({ ease: 'above', drive: 'below' }),
  // The plate rests on the nuts below and comes down with them; those above then draw it tight.
  down: () => ({ ease: 'below', drive: 'above' }),
  level: (way) =>
    way === 'away' ? { ease: 'far-side', drive: 'driven-side' } : { ease: 'driven-side', drive: 'far-side' },
}

const WEIGHTS: Readonly<Record<BaseKind, BaseMove['weight']>> = {
  'slide-screws': 'on-slide',
  'hanging-rods': 'hangs',
  'lifting-rods': 'stands',
  hinged: 'swings',
}

/**
 * What moves the motor of this base away from or toward the driven shaft. The pull of the belts says
 * which way that is; where it is vertical a slide's screws carry the motor as well.
 */
export const baseMove = (
  { kind, pull }: { readonly kind: BaseKind; readonly place: MotorPlace; readonly pull: Pull },
  way: BaseWay,
): BaseMove => {
  const going = goingOf(way, pull)
  const nuts = kind === 'hanging-rods' || kind === 'lifting-rods'
  return {
    turned: nuts ? 'nuts' : kind === 'hinged' ? 'bolt' : 'screws',
    way,
    going,
    nuts: nuts ? EASED[going](way) : null,
    weight: kind === 'slide-screws' && going !== 'level' ? 'hangs' : WEIGHTS[kind],
    endsApart: kind !== 'hinged',
  }
}
