import { offsetWords, sideWords, slopeEndWords, slopeWords } from './directions'
import { drumWords, feetWords } from './en'
import { figure, pack } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import { capital } from './capital'
import { farEnd, pairName, type Telling } from './telling'
import { limitSource } from './tolerances'
import { isSet, type DrumMachine } from '../../core/register/drumMachine'
import type { DrumState } from '../../core/jobs/drum'
import type { Misalignment, Plane } from '../../core/frame/planes'
import { planeVerdicts } from '../../core/judge/planeVerdicts'
import { ALIGNED } from '../../core/frame/planes'
import { judgedQuantities } from '../../core/judge/quantities'
import { marginIn, termValue } from '../../core/judge/judge'
import type { Band, SettledTolerance } from '../../core/judge/tolerance'
import { SIDES } from '../../core/plan/pairNames'
import type { FootChange, SideChange } from '../../core/stages/plan/entries'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'

/** Which of a plane's two quantities is out: how far it stands off, or its angle. */
const outIn = (plane: Plane, line: Misalignment, tolerance: SettledTolerance) =>
  judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .filter((t) => t.plane === plane)
    .filter((t) => {
      const value = termValue(t, line, ALIGNED)
      return value !== null && marginIn(value, t.band) < 0
    })
    .map((t) => t.kind)

/** Whose limit it is. */
export const drumLimitSource = (
  state: Pick<DrumState, 'machine' | 'rpm' | 'asRead'>,
  telling: Telling,
  tag = '',
): string => {
  const w = drumWords(telling.words).limits
  if (!state.asRead) return limitSource(state, telling)
  return tag ? w.asRead(tag) : w.asReadNoTag
}

/** How it is known where the feet stand. */
export const leversWords = (
  { levers, feet }: Pick<DrumState, 'levers' | 'feet'>,
  telling: Telling,
): string => {
  const w = drumWords(telling.words).levers
  if (levers.from !== 'learned') return w[levers.from]
  const pairs = feet.movable.map((f) =>
    w.pair(telling.footNames(f.id), figure(f.x, 'distance', telling.units, { unit: true })),
  )
  return w.learned(levers.move, pairs.join(', '), String(Math.max(1, Math.round(levers.doubt * 100))))
}

/** What the plan of a tram says: which step is in turn, and what stands in its way. */
export const meaningOfTram = (
  state: Pick<DrumState, 'tram' | 'latest' | 'tolerance' | 'levers' | 'plan' | 'feet'>,
  telling: Telling,
): Meaning => {
  const h = drumWords(telling.words).headlines
  const { tram, latest, tolerance, levers, plan } = state
  const line = latest.coupling
  if (plan?.stale) return plainMeaning('stale', h.stale)
  if (!line || (tram.side === 'unknown' && tram.height === 'unknown')) return plainMeaning('todo', h.measure)
  const plane: Plane = tram.turn === 'height' ? 'v' : 'h'
  const verdicts = planeVerdicts(line, tolerance, ALIGNED)
  if (tram.turn === 'drum-runout' || verdicts[plane] === 'in') {
    const edge = latest.judgement?.verdict === 'edge'
    return plainMeaning(edge ? 'edge' : 'in', edge ? h.edge : h.done)
  }
  const out = outIn(plane, line, tolerance)
  const far = farEnd(state.feet.movable, telling)
  const where = offsetWords(line.offset[plane], plane, telling)
  const tilt = slopeEndWords(line.slope[plane], plane, far, telling)
  const trial = levers.from === 'unknown' && out.includes('slope')
  if (trial) return plainMeaning('out', plane === 'v' ? h.trial : h.trialPush)
  if (plane === 'v') {
    const [low] = bandOf('displacement', 'v', tolerance)
    const offset = line.offset.v ?? 0
    if (out.includes('displacement') && low !== null && offset < low)
      return plainMeaning('out', offset < 0 ? h.low(sizeOf(offset, telling)) : h.height(where))
    return plainMeaning('out', out.includes('displacement') ? h.height(where) : h.tilt(tilt))
  }
  if (tram.turn === 'side-again')
    return plainMeaning('out', h.again(out.includes('displacement') ? where : tilt))
  return plainMeaning('out', out.includes('displacement') ? h.side(where) : h.sideTurn(tilt))
}

const sizeOf = (mm: number, { units }: Pick<Telling, 'units'>) =>
  figure(Math.abs(mm), 'displacement', units, { unit: true })

/** The band of one quantity in one plane. */
const bandOf = (kind: 'displacement' | 'slope', plane: Plane, tolerance: SettledTolerance) =>
  judgedQuantities(tolerance)
    .flatMap((q) => q.terms)
    .find((t) => t.plane === plane && t.kind === kind)?.band ?? ([null, null] as const)

/** What goes under and comes out from under which feet, alike feet together: `Put 3 under every foot.` */
export const shimLines = (
  changes: readonly FootChange[],
  from: UnitSystem,
  pairs: readonly { readonly id: string }[],
  telling: Telling,
): readonly string[] => {
  const w = drumWords(telling.words).plan
  const told = (list: readonly number[]) =>
    pack(
      list.map((t) => toCore(t, 'displacement', from)),
      telling.units,
    )
  const byWork = new Map<string, { put: string; out: string; feet: FootChange[] }>()
  for (const c of changes) {
    if (c.putIn.length + c.takenOut.length === 0) continue
    const [put, out] = [c.putIn.length ? told(c.putIn) : '', c.takenOut.length ? told(c.takenOut) : '']
    const known = byWork.get(`${put}|${out}`) ?? { put, out, feet: [] }
    byWork.set(`${put}|${out}`, { ...known, feet: [...known.feet, c] })
  }
  const where = (feet: readonly FootChange[]): readonly string[] => {
    if (feet.length === 2 * pairs.length) return [w.everyFoot]
    return pairs.flatMap(({ id }) => {
      const own = feet.filter((f) => f.pair === id)
      const name = pairName(telling, { id })
      if (own.length === SIDES.length) return [w.bothFeet(name)]
      return own.map((f) => w.oneFoot(name, feetWords(telling.words).sides[f.side]))
    })
  }
  return [...byWork.values()].flatMap(({ put, out, feet }) =>
    where(feet).map((at) => (put && out ? w.swap(out, put, at) : put ? w.add(put, at) : w.takeOut(out, at))),
  )
}

/** Which way each end is pushed; both at once where they go alike. */
export const pushLines = (
  side: readonly SideChange[],
  from: UnitSystem,
  pairs: readonly { readonly id: string }[],
  telling: Telling,
): readonly string[] => {
  const w = drumWords(telling.words).plan
  const by = (pair: string) => side.filter((s) => s.pair === pair).reduce((sum, s) => sum + s.moved, 0)
  const told = (moved: number) => sideWords(toCore(moved, 'displacement', from), telling)
  const moves = pairs.map(({ id }) => ({ id, moved: by(id) })).filter((m) => m.moved !== 0)
  const [first] = moves
  if (!first) return []
  if (moves.length === pairs.length && moves.every((m) => told(m.moved) === told(first.moved)))
    return [w.pushBoth(told(first.moved))]
  return moves.map((m) => w.push(capital(pairName(telling, m)), told(m.moved)))
}

/** Where it ends in the plane that is moved, in one sentence. */
export const endsWords = (
  predicted: Misalignment | null,
  plane: Plane,
  pairs: readonly { readonly id: string }[],
  telling: Telling,
): string => {
  const w = drumWords(telling.words).plan
  if (!predicted) return w.unknownEnd
  return w.ends(
    offsetWords(predicted.offset[plane], plane, telling),
    slopeWords(predicted.slope[plane], plane, farEnd(pairs, telling), telling),
  )
}

/** `−2.0…+2.0`, `≤ 0.0`: what a reading may be, as it is read. Millimetres. */
export const windowWords = ([low, high]: Band, { units }: Pick<Telling, 'units'>): string => {
  const shown = (t: number | null) => figure(t, 'displacement', units, { sign: t !== 0 })
  if (low === null) return `≤ ${shown(high)}`
  return high === null ? `≥ ${shown(low)}` : `${shown(low)}…${shown(high)}`
}

/** What the register says of a drum, a line each: what hangs on it, its windows as read, what it may run out. */
export const drumFactWords = (
  { drum, units, feet, usual }: DrumRecord,
  telling: Telling,
): readonly string[] => {
  const { facts: w, loads, register } = drumWords(telling.words)
  const mm = (t: number | null) => (t === null ? null : toCore(t, 'displacement', units))
  const windows = (['rim', 'face'] as const).flatMap((dial) =>
    (['side', 'top'] as const).flatMap((what) => {
      const [low, high] = drum.windows[dial][what]
      if (!isSet([low, high])) return []
      return [`${register.dials[dial]} ${register.whats[what]} ${windowWords([mm(low), mm(high)], telling)}`]
    }),
  )
  return [
    w.load(loads[drum.load]),
    ...(usual.method === 'rim-face'
      ? [
          w.circle(
            figure(toCore(usual.faceDiameter, 'distance', units), 'distance', telling.units, { unit: true }),
          ),
        ]
      : []),
    feet.movable.every((f) => f.x === null) ? w.untaped : '',
    drum.runout === null
      ? w.runoutBySpeed
      : w.runout(
          figure(toCore(drum.runout, 'displacement', units), 'displacement', telling.units, { unit: true }),
        ),
    windows.length > 0 ? w.windows(windows.join('; ')) : '',
  ].filter(Boolean)
}

/** What of a record is told of its drum. */
type DrumRecord = Pick<DrumMachine, 'drum' | 'units' | 'feet' | 'usual'>
