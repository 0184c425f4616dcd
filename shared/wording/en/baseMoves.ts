import { said } from '../words'
import type { BaseMove, BaseWay, Going, NutSide } from '../../../core/belt/baseMoves'

/** What is turned on a base, and where the motor goes with it. */
export const baseMoves = {
  going: {
    level: { away: 'away from the driven shaft', toward: 'toward the driven shaft' },
    up: { away: 'up, away from the driven shaft', toward: 'up, toward the driven shaft' },
    down: { away: 'down, away from the driven shaft', toward: 'down, toward the driven shaft' },
  } satisfies Record<Going, Record<BaseWay, string>>,
  nuts: {
    above: 'above the plate',
    below: 'below the plate',
    'driven-side': 'on the side of the driven shaft',
    'far-side': 'on the far side',
  } satisfies Record<NutSide, string>,
  /** By how much, and how it is done evenly; `by` is empty where it isn't known. */
  screws: (by: string, where: string) =>
    by === ''
      ? `Turn both adjusting screws alike, in turn, a bit at a time: the motor goes ${where}.`
      : `Turn both adjusting screws ${by}, in turn, an eighth at a time: the motor goes ${where}.`,
  bolt: (by: string, where: string) =>
    by === ''
      ? `Turn the adjusting bolt: the plate swings ${where}.`
      : `Turn the adjusting bolt ${by}: the plate swings ${where}.`,
  nutsTurned: (by: string, ease: string, drive: string, where: string) =>
    by === ''
      ? `Ease the four nuts ${ease} a little, then follow with the four nuts ${drive}, corner after corner: the motor goes ${where}.`
      : `Ease the four nuts ${ease} by ${by}, then follow with the four nuts ${drive}, corner after corner: the motor goes ${where}.`,
  /** One end alone, to square the motor. */
  end: {
    screws: (by: string, where: string) => `Turn the screw at the far end ${by}: that end goes ${where}.`,
    nuts: (by: string, ease: string, drive: string, where: string) =>
      `At the far end, ease both nuts ${ease} by ${by}, then follow with both nuts ${drive}: that end goes ${where}.`,
    bolt: (by: string, where: string) =>
      `One bolt moves both ends alike: loosen the hinge, bring the far end ${by} ${where}, and tighten it there.`,
  },
  turns: (eighths: string) => (eighths === '1' ? '1 turn' : `${eighths} turns`),
  fraction: (eighths: string) => `${eighths} turn`,
  weight: {
    'on-slide': '',
    hangs:
      'The motor hangs here: hold it with rated blocks or a hoist before anything is eased, and keep every nut full on its thread.',
    stands:
      'The motor stands on these rods: block it before a nut is eased, and never let one corner carry it.',
    swings: 'The plate drops when its bolt lets go: hold it first, and keep hands out from under it.',
  } satisfies Record<BaseMove['weight'], string>,
}

export const baseMovesWords = said(baseMoves)
