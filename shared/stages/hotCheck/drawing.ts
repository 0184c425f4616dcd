import { scaleLinear, scaleTime } from 'd3-scale'
import dayjs from 'dayjs'
import type { Warming } from '../../../core/stages/hotCheck/temperatures'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'
import { spreadNames } from '../../drawing/lineBundle'

/** Drawn size of the temperatures over the run; names stand in the margin at the right. */
export const WARMING_SHEET = { width: 690, height: 240, left: 40, right: 486, top: 10, bottom: 208 } as const
const MINUTE = 60_000

export interface DrawnWarming {
  readonly lines: readonly {
    readonly key: string
    readonly machine: Warming['machine']
    readonly pair: string
    readonly path: string
    readonly points: readonly { readonly x: number; readonly y: number }[]
    readonly last: number
    readonly nameY: number
    /** Pairs away from the coupling are drawn dashed. */
    readonly dashed: boolean
  }[]
  readonly values: readonly { readonly y: number; readonly name: string }[]
  readonly times: readonly { readonly x: number; readonly name: string }[]
  /** Where they have stood still; null while they haven't. */
  readonly still: { readonly x: number; readonly width: number } | null
  readonly stopped: number | null
}

/** Lays the logged temperatures out over time. Milliseconds and degrees C in; figures in the reader's units. */
export const drawWarming = (
  warming: readonly Warming[],
  run: { readonly begun: number | null; readonly stopped: number | null; readonly settled: number | null },
  now: number,
  units: UnitSystem,
): DrawnWarming => {
  const { left, right, top, bottom } = WARMING_SHEET
  const shown = (celsius: number) => fromCore(celsius, 'temperature', units)
  const points = warming.flatMap((w) => w.points)
  const start = Math.min(run.begun ?? now, ...points.map((p) => p.at))
  const end = Math.max(run.stopped ?? now, start + 30 * MINUTE, ...points.map((p) => p.at))
  const heats = points.map((p) => shown(p.value))
  const x = scaleTime([new Date(start), new Date(end)], [left, right])
  const coolest = heats.length > 0 ? Math.min(...heats) : shown(20)
  const hottest = heats.length > 0 ? Math.max(...heats) : shown(60)
  const y = scaleLinear([coolest, Math.max(hottest, coolest + 10)], [bottom, top]).nice(4)
  const ends = warming.map((w) => y(shown(w.points[w.points.length - 1]?.value ?? 0)))
  const names = spreadNames(
    ends.map((e) => e + 5),
    23,
    top + 4,
    bottom,
  )
  const seen = new Map<string, number>()
  return {
    lines: warming.map((w, i) => {
      const nth = seen.get(w.machine) ?? 0
      seen.set(w.machine, nth + 1)
      const drawn = w.points.map((p) => ({ x: x(p.at), y: y(shown(p.value)) }))
      return {
        key: `${w.machine}.${w.pair}`,
        machine: w.machine,
        pair: w.pair,
        points: drawn,
        path: `M${drawn.map((p) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`).join('L')}`,
        last: Math.round(shown(w.points[w.points.length - 1]?.value ?? 0)),
        nameY: names[i] ?? 0,
        dashed: w.pair === 'outboard' || (w.pair !== 'inboard' && nth > 0),
      }
    }),
    values: y.ticks(4).map((t) => ({ y: y(t), name: String(t) })),
    times: x.ticks(4).map((t) => ({ x: x(t), name: dayjs(t).format('HH:mm') })),
    still:
      run.settled === null
        ? null
        : {
            x: x(run.settled),
            width: Math.max(2, x(run.stopped ?? Math.max(...points.map((p) => p.at))) - x(run.settled)),
          },
    stopped: run.stopped === null ? null : x(run.stopped),
  }
}
