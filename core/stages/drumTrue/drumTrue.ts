import { clockDistance } from '../../frame/clock'
import { worstVerdict, type Verdict, type VerdictOrUnknown } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { runout, starterRunoutLimit, type RunoutResult } from '../../runout/runout'
import type { DrumMachine } from '../../register/drumMachine'
import { toCore, type Degrees, type Millimetres } from '../../units/unitSystem'

export const DRUM_SURFACES = ['rim', 'face'] as const
export type DrumSurface = (typeof DRUM_SURFACES)[number]

/** Every turn and every blow since the motor was moved last, in order. */
export type DrumFacts = readonly LogEntry<'runout-read' | 'drum-tapped'>[]
export const NOT_TURNED: DrumFacts = []

/** Links each entry to the drum; a move of the motor takes the bolts out again, and what was read goes with them. */
export const keepDrum = (now: DrumFacts, e: LogEntry): DrumFacts => {
  switch (e.kind) {
    case 'runout-read':
    case 'drum-tapped':
      return [...now, e]
    case 'move-made':
      return now.length > 0 ? NOT_TURNED : now
    default:
      return now
  }
}

/** What the blows before a turn did to it. */
export type TapEffect = 'better' | 'no-change' | 'worse' | 'past'

/** One turn of one surface, beside the turn before it. */
export interface DrumTurn {
  readonly entry: LogEntry<'runout-read'>
  readonly result: RunoutResult
  /** Blows between this turn and the one before; none where it was turned for the first time. */
  readonly taps: readonly LogEntry<'drum-tapped'>[]
  /** Null where nobody struck it in between. */
  readonly effect: TapEffect | null
}

/** What to do about one surface next. */
export type DrumAdvice =
  | { readonly what: 'read' }
  | { readonly what: 'leave' }
  /** Read again: it was struck since. */
  | { readonly what: 'read-again' }
  | { readonly what: 'tap'; readonly mark: Degrees; readonly how: 'light' | 'half' | 'harder' }
  /** Two rounds of blows did nothing: the seat, a bent shaft or the bore is the cause. */
  | { readonly what: 'seat' }
  /** It is oval or dented: no blow centres that. */
  | { readonly what: 'oval' }

export interface SurfaceTrue {
  readonly surface: DrumSurface
  readonly turns: readonly DrumTurn[]
  readonly latest: DrumTurn | null
  /** Struck since it was turned last. */
  readonly open: boolean
  readonly verdict: Verdict | null
  readonly advice: DrumAdvice
}

/** How the drum itself runs, rim and face. */
export interface DrumTrue {
  readonly facts: DrumFacts
  readonly surfaces: readonly SurfaceTrue[]
  readonly limit: Millimetres
  readonly source: 'own' | 'speed'
  /** Null while its rim was not turned, or was struck since. */
  readonly verdict: Verdict | null
}

/** A change of the run-out below this share of its limit is none. */
const NO_CHANGE = 0.1
/** From this angle on the high spot lies on the other side. */
const OTHER_SIDE: Degrees = 100
/** So many rounds of blows that did nothing, and it isn't the blows. */
const IN_VAIN = 2

const effectOf = (before: RunoutResult, after: RunoutResult): TapEffect => {
  if (after.verdict === 'out' && clockDistance(before.strikeAt, after.strikeAt) > OTHER_SIDE) return 'past'
  const gain = before.tir - after.tir
  if (Math.abs(gain) < NO_CHANGE * after.limit) return 'no-change'
  return gain > 0 ? 'better' : 'worse'
}

const adviceFor = (latest: DrumTurn | null, turns: readonly DrumTurn[], open: boolean): DrumAdvice => {
  if (!latest) return { what: 'read' }
  if (open) return { what: 'read-again' }
  const { verdict, second, first, limit, strikeAt } = latest.result
  if (verdict !== 'out') return { what: 'leave' }
  if (second && second.amplitude > first.amplitude && 2 * second.amplitude > limit / 4)
    return { what: 'oval' }
  const vain = [...turns].reverse().findIndex((t) => t.effect !== 'no-change')
  if ((vain < 0 ? turns.length : vain) >= IN_VAIN) return { what: 'seat' }
  const how = latest.effect === 'past' ? 'half' : latest.effect === 'no-change' ? 'harder' : 'light'
  return { what: 'tap', mark: strikeAt, how }
}

/** What the turns and blows come to at this speed. */
export const checkDrum = (machine: DrumMachine, facts: DrumFacts, rpm: number): DrumTrue => {
  const own = machine.drum.runout
  const limit = own === null ? starterRunoutLimit(rpm) : toCore(own, 'displacement', machine.units)
  const surfaces = DRUM_SURFACES.map((surface): SurfaceTrue => {
    const turns: DrumTurn[] = []
    let taps: LogEntry<'drum-tapped'>[] = []
    for (const e of facts) {
      if (e.payload.surface !== surface) continue
      if (e.kind === 'drum-tapped') {
        taps.push(e)
        continue
      }
      const { units, readings, diameter } = e.payload
      const found = runout({
        readings: readings.map((r) => ({ ...r, value: toCore(r.value, 'displacement', units) })),
        surface,
        ...(diameter === null ? {} : { diameter: toCore(diameter, 'distance', units) }),
        limit,
      })
      if (!found.ok) continue
      const before = turns[turns.length - 1]
      const effect = before && taps.length > 0 ? effectOf(before.result, found.value) : null
      turns.push({ entry: e, result: found.value, taps, effect })
      taps = []
    }
    const latest = turns[turns.length - 1] ?? null
    const open = latest !== null && taps.length > 0
    return {
      surface,
      turns,
      latest,
      open,
      verdict: latest && !open ? latest.result.verdict : null,
      advice: adviceFor(latest, turns, open),
    }
  })
  const [rim] = surfaces
  const judged = surfaces.flatMap((s): readonly VerdictOrUnknown[] =>
    s.latest ? [s.verdict ?? 'unknown'] : [],
  )
  const verdict = worstVerdict(judged)
  return {
    facts,
    surfaces,
    limit,
    source: own === null ? 'speed' : 'own',
    verdict: !rim?.verdict || verdict === 'unknown' ? null : verdict,
  }
}
