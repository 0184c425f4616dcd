import { normalClock } from '../frame/clock'
import type { Reading } from '../fit/harmonicFit'
import type { Degrees } from '../units/unitSystem'
import type { Sample } from './steady'

/** Samples are kept by so much of the turn, so that a set has 72 readings a circle at most. */
export const EVERY: Degrees = 5
const BINS = 360 / EVERY
/** Turned back further than this, it is turned back: lost motion would be read. */
const BACK_ALLOWED: Degrees = 1.5
/** Travelled so far, it is clear which way it is turned. */
const WAY_KNOWN: Degrees = 8

interface Bin {
  readonly n: number
  readonly clock: number
  readonly value: number
}

/** One circle on its way round. Clock angles unwrapped: they go on past 360. */
interface Track {
  readonly from: Degrees
  readonly at: Degrees
  /** The furthest it came, in the way it is turned. */
  readonly front: Degrees
  readonly bins: ReadonlyMap<number, Bin>
  readonly samples: number
  /** Seen without a figure, by the part of the turn. */
  readonly blind: ReadonlySet<number>
}

/** A sweep under way: each circle's samples gathered by the clock. */
export interface Sweep {
  readonly tracks: Readonly<Record<string, Track>>
  /** 1 clockwise, -1 against the clock, 0 until it is clear. */
  readonly way: 1 | -1 | 0
  /** It was turned back on the way; what was read meanwhile is left out. */
  readonly wentBack: boolean
  readonly whole: boolean
}

export const NO_SWEEP: Sweep = { tracks: {}, way: 0, wentBack: false, whole: false }

const binOf = (clock: Degrees) => Math.floor(normalClock(clock) / EVERY) % BINS
/** The turn from one clock angle to another, the short way, -180 to 180. */
const onward = (from: Degrees, to: Degrees): Degrees => ((((to - from) % 360) + 540) % 360) - 180

/**
 * One more sample of a circle that is swept. What comes while the shaft is turned back is left out until it has
 * passed the furthest place again; a sample without a figure leaves its place empty.
 */
export const sweepOn = (sweep: Sweep, circle: string, sample: Sample): Sweep => {
  if (sample.clock === null || sweep.whole) return sweep
  const track = sweep.tracks[circle]
  const at = track ? track.at + onward(track.at, sample.clock) : sample.clock
  const from = track?.from ?? at
  const way = sweep.way !== 0 ? sweep.way : Math.abs(at - from) >= WAY_KNOWN ? (at > from ? 1 : -1) : 0
  const before = track?.front ?? at
  const front = way === 0 ? at : way * at > way * before ? at : before
  const back = way !== 0 && way * (front - at) > BACK_ALLOWED
  const bin = binOf(at)
  const bins = new Map(track?.bins)
  const blind = new Set(track?.blind)
  if (!back && sample.value === null) blind.add(bin)
  else if (!back && sample.value !== null) {
    // Within a part of the turn angles are told from its middle, so that 359 and 1 are not taken for 180.
    const centre = (bin + 0.5) * EVERY
    const own = { clock: centre + onward(centre, at), value: sample.value }
    const was = bins.get(bin) ?? { n: 0, clock: 0, value: 0 }
    const n = was.n + 1
    bins.set(bin, {
      n,
      clock: was.clock + (own.clock - was.clock) / n,
      value: was.value + (own.value - was.value) / n,
    })
  }
  const next: Track = {
    from,
    at,
    front,
    bins,
    blind,
    samples: (track?.samples ?? 0) + (!back && sample.value !== null ? 1 : 0),
  }
  const tracks = { ...sweep.tracks, [circle]: next }
  return {
    tracks,
    way,
    wentBack: sweep.wentBack || back,
    whole: Object.values(tracks).every((t) => Math.abs(t.front - t.from) >= 360 - EVERY / 2),
  }
}

/** A circle's samples thinned for keeping: the mean of each part of the turn, in the order they were swept. */
export const thinned = (sweep: Sweep, circle: string): readonly Reading[] => {
  const track = sweep.tracks[circle]
  if (!track) return []
  const way = sweep.way || 1
  const turned = (clock: Degrees) => normalClock(way * (clock - track.from) + EVERY / 2)
  return [...track.bins.values()]
    .sort((a, b) => turned(a.clock) - turned(b.clock))
    .map(({ clock, value }) => ({ clock: normalClock(clock), value }))
}

/** How a sweep stands. */
export interface Swept {
  /** Where the shaft stands. */
  readonly at: Degrees | null
  readonly from: Degrees | null
  /** How far it was swept, gaps included, 0 to 360. */
  readonly arc: Degrees
  readonly samples: number
  /** Parts of the swept arc in which a circle has nothing: from and to, in the way it was turned. */
  readonly gaps: readonly { readonly circle: string; readonly from: Degrees; readonly to: Degrees }[]
}

/** What a sweep has covered by now. */
export const sweptSoFar = (sweep: Sweep): Swept => {
  const tracks = Object.entries(sweep.tracks)
  const way = sweep.way || 1
  const arc = Math.min(360, ...tracks.map(([, t]) => Math.abs(t.front - t.from)))
  const gaps = tracks.flatMap(([circle, t]) => {
    const found: { circle: string; from: Degrees; to: Degrees }[] = []
    const parts = Math.floor(Math.abs(t.front - t.from) / EVERY)
    for (let i = 1; i < parts; i++) {
      const bin = binOf(t.from + way * i * EVERY)
      if (t.bins.has(bin)) continue
      const [low, high] = [bin * EVERY, (bin + 1) * EVERY]
      const [from, to] = way > 0 ? [low, high] : [high, low]
      const last = found[found.length - 1]
      if (last && normalClock(last.to) === normalClock(from)) found[found.length - 1] = { ...last, to }
      else found.push({ circle, from, to })
    }
    return found
  })
  const [first] = tracks
  return {
    at: first ? normalClock(first[1].at) : null,
    from: first ? normalClock(first[1].from) : null,
    arc: tracks.length === 0 ? 0 : arc,
    samples: tracks.reduce((n, [, t]) => n + t.samples, 0),
    gaps,
  }
}

/** How far two heads on one line stand apart about the shaft; they should stand together. */
export const headsApart = (sweep: Sweep): Degrees | null => {
  const at = Object.values(sweep.tracks).map((t) => t.at)
  return at.length < 2 ? null : Math.max(...at.map((a) => Math.abs(onward(at[0] ?? 0, a))))
}

/**
 * How much more a set read evenly over an arc of so many degrees errs than one of as many readings over a full turn:
 * square root of the largest eigenvalue of the cos/sin block of inverse(M'M), times that of half the readings.
 */
export const timesAFullTurn = (arc: Degrees): number => {
  const half = (Math.min(360, arc) * Math.PI) / 360
  if (half <= 0) return Infinity
  // Means over the arc about its middle: of cos, of cos squared, of sin squared.
  const cos = Math.sin(half) / half
  const cosSquared = 0.5 + Math.sin(2 * half) / (4 * half)
  const least = Math.min(cosSquared - cos ** 2, 1 - cosSquared)
  return least <= 0 ? Infinity : Math.sqrt(0.5 / least)
}

/** Where the error of a set over an arc comes down to this share of what it is over `arc` now; 360 at most. */
export const arcForShare = (arc: Degrees, share: number): Degrees => {
  const aim = timesAFullTurn(arc) * share
  for (let a = Math.ceil(arc / EVERY) * EVERY; a < 360; a += EVERY) if (timesAFullTurn(a) <= aim) return a
  return 360
}
