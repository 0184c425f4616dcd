/**
 * From which end a person looks: behind the movable machine, as everything is stored, or behind the stationary one,
 * where 3 and 9, and left and right, are the other way round. It changes labels and what boxes mean, never what is kept.
 */
export const VIEWS_FROM = ['movable', 'stationary'] as const
/** One of the two ends; or down on an upright shaft, where 12 is a mark and nothing is high or low. */
export type ViewFrom = (typeof VIEWS_FROM)[number] | 'above'

/** A stored clock angle as it is called from this end; its own inverse. */
export const seenClock = (clock: number, from: ViewFrom): number =>
  from === 'stationary' ? (360 - clock) % 360 : clock

/** A stored hour as it is called from this end. */
export const seenHour = (hour: '3' | '9', from: ViewFrom): '3' | '9' =>
  from !== 'stationary' ? hour : hour === '3' ? '9' : '3'

/** A sentence that names 3 or 9 behind a `toward`, as it is said from the other end. */
export const turned = (text: string): string =>
  text.replace(/toward ([39])\b/g, (_, hour: string) => `toward ${hour === '3' ? '9' : '3'}`)
/** The same for what makes a sentence. */
export const turning =
  <A extends readonly unknown[]>(say: (...about: A) => string) =>
  (...about: A) =>
    turned(say(...about))
