import type { Meaning } from './meaning'
import { directionsWords, feetWords, measuringWords } from './en'
import { PLANES } from '../../core/frame/planes'
import type { Measurement, NotedSet } from '../../core/stages/measure/measurement'
import { wayTurned } from '../../core/stages/measure/play'
import type { SetUp } from '../../core/stages/setUp/setUp'
import { METHOD_FORMS } from '../methods/forms'
import { trustOf } from '../../core/stages/measure/readingSet'
import { circleName } from './circles'
import { clockName, hourName, misalignmentWords } from './directions'
import { figure } from './figures'
import { isParallel, namedQuantities, quantityName } from './quantities'
import { refusalSentence } from './refusals'
import { capital } from './capital'
import { type Telling, farEnd } from './telling'

/** `First set`: a set by its place in the round. */
export const setName = (m: Pick<Measurement, 'sets'>, id: string, { words }: Telling): string => {
  const at = m.sets.findIndex((s) => s.set.entry.id === id)
  const ordinal = measuringWords(words).ordinals[at]
  return ordinal ? `${ordinal} set` : capital(measuringWords(words).setName(at + 1))
}

/** What this set-up can't tell, and how large it would have to be; empty where it tells everything judged. */
export const weakWords = (m: Pick<Measurement, 'combined' | 'sets'>, telling: Telling): string => {
  const last = m.sets[m.sets.length - 1]?.set.measured ?? null
  const weak = (m.combined ?? last)?.trust.weak ?? []
  const [worst] = [...weak].sort((a, b) => b.effect / b.limit - a.effect / a.limit)
  if (!worst) return ''
  const { units } = telling
  return measuringWords(telling.words).weak(
    figure(worst.effect, worst.kind, units, { unit: true, extra: 1 }),
    quantityName(worst.name, telling).toLowerCase(),
    worst.remedy,
    figure(worst.needs, 'distance', units, { unit: true }),
  )
}

/** What the readings taken between two moves mean, in one sentence and what stands behind it. */
export const meaningOfReadings = (
  m: Measurement,
  movable: string,
  setUp: Pick<SetUp, 'circles' | 'how'>,
  telling: Telling,
): Meaning => {
  const w = measuringWords(telling.words)
  const { circles } = setUp
  const last = m.sets[m.sets.length - 1]
  if (!last) {
    const names = circles.map((c) => circleName(c, telling).toLowerCase())
    const reads = METHOD_FORMS[setUp.how.method].reads
    const detail = { dials: w.beginDetail, felt: w.beginFelt, values: w.beginValues }[reads]
    return {
      mark: 'todo',
      headline: reads === 'values' ? w.beginType(names.join(' and ')) : w.begin(names.join(' and ')),
      detail,
    }
  }
  if (last.set.refusals.length > 0)
    return {
      mark: 'todo',
      headline: w.notEnough,
      detail: last.set.refusals.map((r) => refusalSentence(r)).join(' '),
    }
  if (m.trust === 'doubtful') return doubt(m, last, telling)
  const far = farEnd(last.set.setUp.feet, telling)
  const parallel = m.judgement !== null && isParallel(m.judgement)
  const weak = weakWords(m, telling)
  const unknown = m.coupling
    ? PLANES.filter((p) => m.coupling?.offset[p] === null && m.coupling.slope[p] === null)
    : []
  const oneOnly = unknown.map((p) => w.planeUnknown(directionsWords(telling.words).planes[p]))
  const and = (detail: string) => [detail, ...oneOnly, ...(weak ? [weak] : [])].filter(Boolean).join(' ')
  const where = m.coupling ? `${movable} ${misalignmentWords(m.coupling, parallel, telling)}` : ''
  if (m.trust === 'unproven')
    return { mark: 'todo', headline: w.nothingExposes, detail: and(`${w.flags.unproven} ${w.soFar(where)}`) }
  if (m.trust === 'once') return { mark: 'todo', headline: w.repeatIt, detail: and(w.soFar(where)) }
  const because = and(
    m.trust === 'overridden'
      ? w.usedAgainst(m.used.map((id) => setName(m, id, telling)).join(', '))
      : w.agreeAndCombined(m.used.length),
  )
  // Both planes of an upright shaft are one way on the clock.
  const upright = telling.viewFrom === 'above'
  const named = (verdict: 'out' | 'edge') =>
    m.judgement ? namedQuantities(m.judgement, verdict, far, telling) : ''
  const flexes = m.judgement?.quantities.every((q) => q.name.startsWith('flex.'))
  const ofMovable = (what: string) => (flexes ? what : `${movable} ${what}`)
  switch (m.judgement?.verdict) {
    case 'in':
      return { mark: 'in', headline: w.inBand(capital(where)), detail: because }
    case 'edge':
      return { mark: 'edge', headline: w.onEdge(upright ? where : named('edge')), detail: because }
    case 'out':
      return {
        mark: 'out',
        headline: upright ? w.outOfBand(where) : w.outOfBand(ofMovable(named('out'))),
        detail: because,
      }
    default:
      return { mark: 'out', headline: w.notJudged(capital(where)), detail: because }
  }
}

const doubt = (m: Measurement, last: NotedSet, telling: Telling): Meaning => {
  const w = measuringWords(telling.words)
  const detail = wouldMislead(m, telling)
  const [only] = m.suspects
  if (m.suspects.length === 1 && only) {
    const hour = clockName(only.clock, telling)
    const circle = circleName(only.circle, telling).toLowerCase()
    return {
      mark: 'out',
      headline: m.sets.length > 1 ? w.doesNotRepeat(hour, circle) : w.doesNotFit(hour, circle),
      detail,
    }
  }
  if (m.disputed) {
    const { first, second, mirrored } = m.disputed
    return {
      mark: 'out',
      headline: w.disagree(setName(m, first, telling), setName(m, second, telling).toLowerCase()),
      detail: mirrored ? `${w.swapped} ${detail}` : detail,
    }
  }
  for (const circle of last.set.setUp.circles) {
    const t = trustOf(last.set, circle)
    if (t && t.agrees === false && t.closure !== null)
      return {
        mark: 'out',
        headline: w.doesNotBalance(
          circleName(circle, telling).toLowerCase(),
          figure(Math.abs(t.closure), 'displacement', telling.units),
          figure(t.closureLimit, 'displacement', telling.units),
        ),
        detail: m.sets.length > 1 ? detail : w.whichOfFour,
      }
  }
  const flag = last.set.flags.find((f) => f === 'return-to-zero' || f === 'residual')
  return { mark: 'out', headline: w.flags[flag ?? 'residual'], detail: w.whatMoved }
}

/** What trusting one of two doubtful sets would have done at the feet. */
const wouldMislead = (m: Measurement, telling: Telling): string => {
  const { words, units, footNames } = telling
  const feet = m.repeat?.feet ?? []
  const worst = feet
    .flatMap((f) => (['v', 'h'] as const).map((plane) => ({ id: f.id, plane, off: f.move[plane] ?? 0 })))
    .reduce<{ id: string; plane: 'v' | 'h'; off: number } | null>(
      (w, f) => (!w || Math.abs(f.off) > Math.abs(w.off) ? f : w),
      null,
    )
  if (!worst || Math.abs(worst.off) < 1e-6) return ''
  return measuringWords(words).apartAtFeet(
    feetWords(words).feet(footNames(worst.id)),
    figure(Math.abs(worst.off), 'displacement', units, { unit: true }),
    directionsWords(words).planes[worst.plane],
  )
}

/** How a set stands in its measurement. */
export const standingWords = (m: Measurement, noted: NotedSet, { words }: Telling): string => {
  const w = measuringWords(words).standing
  if (noted.leftOut !== null) return w.leftOut(noted.leftOut)
  if (noted.usedAnyway !== null) return w.usedAnyway(noted.usedAnyway)
  if (m.used.includes(noted.set.entry.id)) return w.used
  if (m.sets[0] && wayTurned(noted.set) !== wayTurned(m.sets[0].set)) return w.otherWay
  return noted.set.sound ? w.disagrees : w.fails
}

/** What turning the other way showed: play, where, how far it trails, and what it would do to the feet. */
export const playWords = (m: Measurement, telling: Telling): string => {
  const { play } = m
  if (!play) return ''
  const { units, footNames } = telling
  const w = measuringWords(telling.words).play
  const small = (t: number) => figure(Math.abs(t), 'displacement', units, { unit: true })
  const dial = play.dials.find((d) => d.name === play.dial)
  const worst = dial?.worst
  if (!play.over || !dial || !worst) return w.none(small(play.limit))
  const trails = dial.lag === null ? '' : w.trails(String(Math.round(Math.abs(dial.lag) * 10) / 10))
  const moved = play.feet
    .map((f) => ({ id: f.id, by: Math.max(Math.abs(f.move.v ?? 0), Math.abs(f.move.h ?? 0)) }))
    .sort((a, b) => b.by - a.by)[0]
  return w.found(
    circleName(dial.name, telling).toLowerCase(),
    small(worst.difference),
    hourName(worst.clock, telling),
    trails,
    moved ? w.feet(footNames(moved.id), small(moved.by)) : '',
  )
}
