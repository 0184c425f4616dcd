import type { BeltState } from '../../core/jobs/belt'
import { factorsOf, serviceFactorOf } from '../../core/belt/beltLimits'
import { massFrom } from '../../core/stages/tension/band'
import type { TensionRead } from '../../core/stages/tension/tension'
import type { TurnsToGive } from '../../core/stages/tension/turns'
import { moveWords } from './baseMoves'
import { tensionWords } from './en'
import { gapFigure } from './figures'
import { forceFigure, hertzFigure, percent } from './forces'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** The belt as it is called where there are several, or one. */
export const beltName = (at: number, of: number, { words }: Pick<Telling, 'words'>): string =>
  of === 1 ? tensionWords(words).theBelt : tensionWords(words).belt(at + 1)

/** The belt that lies furthest from the others, and by how much of their mean. */
export const oddOne = (read: TensionRead): { readonly at: number; readonly by: number } | null => {
  const values = read.belts.map((b) => b.tension ?? b.value)
  if (values.length < 2) return null
  const off = values.map((v, i) => {
    const others = values.filter((_, k) => k !== i)
    const mean = others.reduce((s, o) => s + o, 0) / others.length
    return v / mean - 1
  })
  const at = off.reduce((best, x, i) => (Math.abs(x) > Math.abs(off[best] ?? 0) ? i : best), 0)
  return { at, by: off[at] ?? 0 }
}

/** What was read at a belt, in its own measure. */
export const readingFigure = (read: TensionRead, value: number, { units }: Telling, unit = false): string => {
  switch (read.entry.payload.read.by) {
    case 'force':
      return forceFigure(value, units, unit)
    case 'frequency':
      return unit ? hertzFigure(value) : hertzFigure(value).replace(' Hz', '')
    default:
      return gapFigure(value, { units }, unit)
  }
}

/** Where the band comes from, and that its factor is a starting value where nobody gave one. */
export const bandSourceWords = (
  read: TensionRead,
  { machine }: Pick<BeltState, 'machine'>,
  { words }: Telling,
): string => {
  const w = tensionWords(words)
  if (!read.band) return w.detail.noBand
  const { source } = read.band
  if (source === 'chart' && machine.section) {
    const { section, source: from } = machine.section
    return w.chartOf(section, from)
  }
  if (source !== 'power') return w.sources[source]
  const service = serviceFactorOf(machine)
  const ages = factorsOf(machine, read.entry.payload.age)
  return [
    w.sources.power,
    ...(service.by === 'starting' ? [`${w.startingFactor} (${String(service.value)})`] : []),
    ...(service.by === 'works' ? [w.worksFactor(String(service.value), service.source)] : []),
    ...(ages.by === 'works' ? [w.worksFactors(ages.value.join(' – '), ages.source)] : []),
    ...(massFrom(machine) === 'starting' ? [w.startingMass(machine.belts.section)] : []),
  ].join(' ')
}

/** What the set means: slack, tight, unmatched, or in band; and which way the motor goes. */
export const meaningOfTensionRead = (read: TensionRead, telling: Telling): Meaning => {
  const w = tensionWords(telling.words)
  const h = w.headlines
  const { units } = telling
  const one = read.belts.length === 1
  if (read.unmatched) {
    const odd = oddOne(read)
    // The less a belt is pushed back, the further it gives: by deflection more is slacker.
    const byGive = read.belts[0]?.tension === null && read.entry.payload.read.by === 'hand'
    const below = odd !== null && odd.by < 0 !== byGive
    return plainMeaning(
      'out',
      odd
        ? h.one(
            beltName(odd.at, read.belts.length, telling),
            percent(Math.abs(odd.by)),
            below ? h.below : h.above,
          )
        : h.unjudged,
      w.detail.unmatched,
    )
  }
  if (read.leans === 'slack' || read.leans === 'tight') {
    const what = one
      ? read.leans === 'slack'
        ? h.slackOne
        : h.tightOne
      : read.leans === 'slack'
        ? h.slack
        : h.tight
    const [low, high] = read.band?.tension ?? [0, 0]
    const by = read.mean === null ? null : read.leans === 'slack' ? low - read.mean : read.mean - high
    return plainMeaning(
      'out',
      by === null || read.window ? `${what}.` : h.by(what, forceFigure(by, units, true)),
      w.detail.after[read.leans],
    )
  }
  if (read.pull?.verdict === 'out') return plainMeaning('out', h.pull)
  if (read.why === 'screening' && !read.window)
    return plainMeaning('done', one ? h.screening : h.screeningEven, w.detail.why.screening)
  if (read.why) return plainMeaning('done', h.unjudged, w.detail.why[read.why])
  if (!read.band && !read.window) return plainMeaning('done', h.unjudged, w.detail.noBand)
  const out = read.belts.findIndex((b) => b.verdict === 'out')
  if (out >= 0) {
    const odd = oddOne(read)
    return plainMeaning(
      'out',
      h.one(
        beltName(out, read.belts.length, telling),
        percent(Math.abs(odd?.by ?? 0)),
        (odd?.by ?? 0) < 0 ? h.below : h.above,
      ),
    )
  }
  if (read.verdict === 'edge') return plainMeaning('edge', h.edge)
  return plainMeaning('in', one ? h.inOne : h.in)
}

/** What the tension means now. */
export const meaningOfTension = ({ tensions, machine }: BeltState, telling: Telling): Meaning => {
  const w = tensionWords(telling.words)
  const read = tensions[tensions.length - 1]
  if (read) return meaningOfTensionRead(read, telling)
  return tensions.length > 1
    ? plainMeaning('stale', w.again)
    : plainMeaning('todo', machine.belts.count === 1 ? w.askedOne : w.asked)
}

/** Less than this much travel is near the end: a tenth of an inch. */
const NEAR_END = 2.54

/** What to turn next, in the words of this base: the instruction, how sure it is, and what travel is left. */
export const giveWords = (
  give: TurnsToGive,
  { machine }: Pick<BeltState, 'machine'>,
  telling: Telling,
): { readonly instruction: string; readonly why: readonly string[] } => {
  const w = tensionWords(telling.words)
  const perTurn = give.perTurn === null ? '' : forceFigure(give.perTurn, telling.units, true)
  const t = (x: number) => x.toFixed(2).replace('-', '−')
  const [a, b] = give.interval ?? [0, 0]
  const sizes = [Math.abs(a), Math.abs(b)].sort((x, y) => x - y)
  const left = give.travelLeft
  return {
    instruction: moveWords(machine.base, give.turns > 0 ? 'away' : 'toward', give.turns, telling),
    why: [
      give.from === 'learned' ? w.from.learned(perTurn) : w.from[give.from],
      ...(give.interval ? [w.interval(t(sizes[0] ?? 0), t(sizes[1] ?? 0))] : []),
      ...(left === null
        ? []
        : left < 0
          ? [w.travelOver]
          : [(left < NEAR_END ? w.travelEnds : w.travel)(gapFigure(left, telling, true))]),
    ],
  }
}
