import type { StandstillFields } from '../../shared/comeBack/standstill'
import { demoId } from './works'

const DAY = 86_400_000
const HOUR = 3_600_000

/** When the halls of the demo works stand from a day on: the clay hall on Saturdays, the kilns once in a long while. */
export const standstillsFrom = (now: Date): readonly (StandstillFields & { readonly id: string })[] => {
  const midnight = new Date(now)
  midnight.setHours(0, 0, 0, 0)
  const toSaturday = (6 - midnight.getDay() + 7) % 7
  const stop = (area: string, inDays: number, hour: number, hours: number, note = '') => {
    const startsAt = new Date(midnight.getTime() + inDays * DAY + hour * HOUR)
    return {
      id: demoId(`standstill/${area}/${String(inDays)}`),
      area,
      startsAt: startsAt.toISOString(),
      endsAt: new Date(startsAt.getTime() + hours * HOUR).toISOString(),
      note,
      cancelled: false,
    }
  }
  return [
    ...Array.from({ length: 8 }, (_, week) => stop('Clay preparation hall', toSaturday + 7 * week, 6, 8)),
    ...[4, 18, 32].map((days) => stop('Glaze house', days, 13, 3, 'Colour change')),
    ...[6, 27].map((days) => stop('Press hall', days, 14, 8, 'Mould change')),
    stop('Kiln yard', 41, 6, 60, 'Kiln 2 cold for relining'),
  ]
}
