const HOUR = 3_600_000

/** The last night's jobs are written to their end by this hour (UTC). */
export const SHIFT_ENDS = 8

/**
 * Ten past an hour (UTC), so many days before the last shift that has ended by `now`. Before the end of the
 * shift that is yesterday's: nothing of the demo works is dated ahead of the clock.
 */
export const momentsBefore =
  (now: Date) =>
  (daysAgo: number, hour: number): Date => {
    const day = new Date(now.getTime() - SHIFT_ENDS * HOUR - daysAgo * 24 * HOUR)
    day.setUTCHours(hour, 10, 0, 0)
    return day
  }
