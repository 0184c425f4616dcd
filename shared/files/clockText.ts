import { normalClock } from '../../core/frame/clock'
import type { Degrees } from '../../core/units/unitSystem'

const MINUTES_A_DEGREE = 2
const MINUTES_A_TURN = 720

/** A place on the clock as one says it, as 3:00. */
export const clockText = (degrees: Degrees): string => {
  const minutes = Math.round(normalClock(degrees) * MINUTES_A_DEGREE) % MINUTES_A_TURN
  const hours = Math.floor(minutes / 60)
  return `${hours === 0 ? 12 : hours}:${String(minutes % 60).padStart(2, '0')}`
}

/** 3, 3:00, 03:00:00 or 3:00 PM: a spreadsheet takes a place on the clock for a time of the day. */
const ON_THE_CLOCK = /^(\d{1,2})(?::([0-5]\d)(?::00)?)?(?: ?[ap]m)?$/i

/** A place on the clock in degrees from 12; null where it is none. */
export const clockIn = (typed: string): Degrees | null => {
  const found = ON_THE_CLOCK.exec(typed)
  const hours = Number(found?.[1])
  return found && hours <= 12 ? ((hours % 12) * 60 + Number(found[2] ?? 0)) / MINUTES_A_DEGREE : null
}
