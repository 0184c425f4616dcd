import { clockVector } from '../frame/clock'
import { positionAt } from '../frame/planes'
import type { HeadsSetUp } from '../methods/heads'
import { keyOfPair } from '../plan/pairNames'
import type { PushEnd, PushWatch } from '../stages/move/push'
import type { Degrees, Millimetres } from '../units/unitSystem'
import { placeOfKey } from './places'

/** What an instrument shows since it was zeroed, by its place. */
export type Shown = Readonly<Record<string, { readonly value: Millimetres; readonly clock: Degrees | null }>>

/** Within so many degrees of 3 or 9 a head feels a push whole. */
const AT_THE_SIDE: Degrees = 12

/** How far dials beside the ends say that each was pushed, toward 3 positive, by `keyOfPair`. */
const pushedByDials = (shown: Shown): ReadonlyMap<string, Millimetres> => {
  const pushed = new Map<string, Millimetres>()
  for (const [key, { value }] of Object.entries(shown)) {
    const place = placeOfKey(key)
    if (place?.at === 'side')
      pushed.set(keyOfPair({ machine: place.machine, id: place.pair }), place.from === '9' ? -value : value)
  }
  return pushed
}

/** How far heads standing at 3 or 9 say that the movable axis was pushed at x, toward 3 positive; null where they can't. */
const pushedByHeads = (shown: Shown, heads: HeadsSetUp): ((x: Millimetres) => Millimetres) | null => {
  const stationary = shown['circle:stationary']
  const movable = shown['circle:movable']
  if (!stationary || !movable || stationary.clock === null || movable.clock === null) return null
  const sines = [stationary, movable].map(({ clock }) => clockVector(clock ?? 0)[1])
  const least = Math.cos((AT_THE_SIDE * Math.PI) / 180)
  const [s = 0, m = 0] = sines
  if (sines.some((sin) => Math.abs(sin) < least)) return null
  // As in headsMethod: the head on the driven machine feels the movable axis the other way.
  const atStationary = -stationary.value / s
  const atMovable = movable.value / m
  const slope = (atMovable - atStationary) / (heads.movablePlane - heads.stationaryPlane)
  const line = {
    offset: { v: 0, h: atMovable - slope * heads.movablePlane },
    slope: { v: 0, h: slope },
  }
  return (x) => positionAt(line, x).h ?? 0
}

/**
 * What each end of a push has still to go by instruments that were zeroed before its first bite, toward 3 positive, by
 * `keyOfPair`: by the dial beside it, else by heads on both shafts standing at 3 or 9 (the movable machine's ends
 * alone). An end that nothing watches is missing. Millimetres.
 */
export const liveToGo = (
  push: PushWatch,
  shown: Shown,
  feet: readonly { readonly id: string; readonly x: Millimetres }[],
  heads: HeadsSetUp | null,
): Readonly<Record<string, Millimetres>> => {
  const dials = pushedByDials(shown)
  const line = heads && pushedByHeads(shown, heads)
  const of = (end: PushEnd): Millimetres | null => {
    const own = dials.get(keyOfPair(end))
    if (own !== undefined) return own
    const foot = end.machine === 'movable' ? feet.find((f) => f.id === end.id) : undefined
    return line && foot ? line(foot.x) : null
  }
  return Object.fromEntries(
    push.ends.flatMap((end) => {
      const pushed = of(end)
      return pushed === null ? [] : [[keyOfPair(end), end.wanted - pushed]]
    }),
  )
}

/** A push as its instruments show it now: what was logged stays, what is still to go follows them. */
export const withLive = (push: PushWatch, toGo: Readonly<Record<string, Millimetres>>): PushWatch => ({
  ...push,
  ends: push.ends.map((end) => {
    const now = toGo[keyOfPair(end)]
    return now === undefined ? end : { ...end, toGo: now, before: end.toGo }
  }),
})
