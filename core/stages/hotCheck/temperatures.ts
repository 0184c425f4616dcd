import type { MachineRole } from '../../plan/pairNames'
import { remember } from '../../logbook/remember'
import type { LogEntry } from '../../logbook/entry'
import { toCore, type Celsius } from '../../units/unitSystem'

/** One foot pair over the run. Times in milliseconds, oldest first. */
export interface Warming {
  readonly machine: MachineRole
  readonly pair: string
  readonly points: readonly { readonly at: number; readonly value: Celsius }[]
}

/** What was logged, foot pair by foot pair. */
export const warmingOf = remember((entries: readonly LogEntry<'temperatures-read'>[]): readonly Warming[] => {
  const known = new Map<string, { machine: MachineRole; pair: string; points: Warming['points'][number][] }>()
  for (const { payload } of entries)
    for (const { machine, pair, value } of payload.feet) {
      const key = `${machine}.${pair}`
      const row = known.get(key) ?? { machine, pair, points: [] }
      row.points.push({
        at: Date.parse(payload.at),
        value: toCore(value, 'temperature', payload.units),
      })
      known.set(key, row)
    }
  return [...known.values()].map((w) => ({ ...w, points: w.points.sort((a, b) => a.at - b.at) }))
})

/** Temperatures stand still when no foot has changed by more than this over at least so long (docs/stages/hot-check.md). */
export const STANDS_STILL = { degrees: 1, minutes: 15 } as const
const MINUTE = 60_000

/** Since when they have stood still at every foot, before `until`; null while they haven't. Milliseconds. */
export const settledSince = (warming: readonly Warming[], until: number | null): number | null => {
  let since = -Infinity
  let last = -Infinity
  for (const { points } of warming) {
    const seen = points.filter((p) => until === null || p.at <= until)
    const now = seen[seen.length - 1]
    if (!now) continue
    let first = seen.length - 1
    while (first > 0 && Math.abs((seen[first - 1]?.value ?? 0) - now.value) <= STANDS_STILL.degrees) first--
    since = Math.max(since, seen[first]?.at ?? now.at)
    last = Math.max(last, now.at)
  }
  return last - since >= STANDS_STILL.minutes * MINUTE ? since : null
}

/** The temperature at a moment, between the readings about it; the nearest one's before the first and after the last. Null without any. */
export const temperatureAt = ({ points }: Warming, at: number): Celsius | null => {
  const after = points.findIndex((p) => p.at >= at)
  const [a, b] = after < 0 ? [points[points.length - 1], undefined] : [points[after - 1], points[after]]
  if (a && b && b.at > a.at) return a.value + ((b.value - a.value) * (at - a.at)) / (b.at - a.at)
  return (b ?? a)?.value ?? null
}

/** How fast the fastest foot cools behind the stop, degrees C a minute; null where nothing was logged since. */
export const coolingRate = (warming: readonly Warming[], stopped: number): number | null => {
  const rates = warming.flatMap((w) => {
    const last = w.points[w.points.length - 1]
    const atStop = temperatureAt(w, stopped)
    return last && atStop !== null && last.at - stopped >= MINUTE
      ? [((atStop - last.value) * MINUTE) / (last.at - stopped)]
      : []
  })
  return rates.length > 0 ? Math.max(...rates) : null
}
