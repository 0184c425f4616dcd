/** What a person does right or wrong by habit. */
export const HABITS = [
  'tells-the-sag',
  'presses-the-plunger',
  'watches-the-return',
  'repeats-before-moving',
  'cures-one-foot',
  'three-and-nine',
  'lays-what-is-logged',
  'reads-uncoupled',
  'reads-what-is-there',
  'numbers-before-moving',
  'tells-belts-age',
  'reads-after-tightening',
] as const
export type Habit = (typeof HABITS)[number]

export interface HabitSeen {
  readonly habit: Habit
  readonly well: boolean
}
