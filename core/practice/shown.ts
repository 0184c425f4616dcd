import { normalClock } from '../frame/clock'
import type { LogEntry } from '../logbook/entry'
import { toCore, type Degrees, type Millimetres } from '../units/unitSystem'
import type { Bench } from './bench'
import { dialNow, dialsOn } from './benchDials'
import type { BenchState } from './benchState'

/** What each needle showed at the places where the shafts were stopped, since the dials were zeroed last. */
export type Shown = ReadonlyMap<string, ReadonlyMap<Degrees, Millimetres>>
export const NOTHING_SHOWN: Shown = new Map()

/** A stop within this of a place counts as that place. */
const AT: Degrees = 4

/** Adds where the shafts stand now. */
export const seenStop = (bench: Bench, state: BenchState, shown: Shown): Shown => {
  const clock = normalClock(Math.round(state.turned))
  return new Map(
    dialsOn(state).map((circle) => [
      circle,
      new Map([...(shown.get(circle) ?? []), [clock, dialNow(bench, state, circle)]]),
    ]),
  )
}

const at = (stops: ReadonlyMap<Degrees, Millimetres> | undefined, clock: Degrees): Millimetres | null => {
  for (const [stop, value] of stops ?? []) {
    const off = Math.abs(normalClock(stop) - normalClock(clock))
    if (Math.min(off, 360 - off) <= AT) return value
  }
  return null
}

/** How typed readings compare with what the needles showed: where they differ, and whether 3 and 9 changed places. */
export interface Copied {
  readonly misread: readonly { readonly circle: string; readonly clock: Degrees }[]
  readonly mirrored: boolean
}

/** Compares a set as typed with what the dials showed; positions where nobody stopped are left out. */
export const copiedFrom = (
  shown: Shown,
  { payload }: LogEntry<'readings-taken'>,
  graduation: Millimetres,
): Copied => {
  const typed = Object.entries(payload.circles).flatMap(([circle, list]) =>
    list.map((r) => ({ circle, clock: r.clock, value: toCore(r.value, 'displacement', payload.units) })),
  )
  const off = (turned: (clock: Degrees) => Degrees) =>
    typed.filter((r) => {
      const was = at(shown.get(r.circle), turned(r.clock))
      return was !== null && Math.abs(was - r.value) > 2.5 * graduation
    })
  const straight = off((c) => c)
  const turned = off((c) => normalClock(360 - c))
  return {
    misread: straight.map(({ circle, clock }) => ({ circle, clock })),
    mirrored: straight.length > 0 && turned.length === 0,
  }
}
