import type { Meaning } from './meaning'
import { roughInWords, findingsWords } from './en'
import type { Plane } from '../../core/frame/planes'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import { spreadOf, type RoughCure } from '../../core/stages/roughIn/cure'
import type { FeltQuantity, RoughIn, RoughReading } from '../../core/stages/roughIn/roughIn'
import type { Millimetres } from '../../core/units/unitSystem'
import { offsetWords, hourOf, openAt } from './directions'
import { figure } from './figures'
import { leavesWords } from './leaves'
import type { Telling } from './telling'

const sized = (t: Millimetres, { units }: Telling) =>
  figure(Math.abs(t), 'displacement', units, { unit: true })

/** The limit the hubs are felt against, with whose it is. */
export const roughLimitWords = ({ limits }: Pick<RoughReading, 'limits'>, telling: Telling): string => {
  const w = roughInWords(telling.words).detail.limit
  const rim = sized(limits.rim, telling)
  return limits.source === 'maker' ? w.maker(rim, sized(limits.face, telling)) : w[limits.source](rim)
}

/** What is out in one plane, in a clause after the machine's name; null where nothing is. */
const apart = (reading: RoughReading, plane: Plane, movable: string, telling: Telling): string | null => {
  const h = roughInWords(telling.words).headlines
  const [step, opening] = [reading.steps[plane], reading.openings[plane]]
  const open =
    opening.verdict === 'out' && opening.value !== null
      ? ([sized(opening.value, telling), openAt(opening.value, plane, telling)] as const)
      : null
  if (step.verdict !== 'out' || step.value === null)
    return open && findingsWords(telling.words).roughIn.opens(...open)
  const where = offsetWords(step.value, plane, telling) + (open ? h.opensToo(...open) : '')
  return plane === 'v' ? h.sits(movable, where) : h.stands(movable, where)
}

/** What the hubs mean as last felt: one sentence for every state they can be in. */
export const meaningOfRoughIn = (roughIn: RoughIn, movable: string, telling: Telling): Meaning => {
  const w = roughInWords(telling.words)
  const h = w.headlines
  const reading = roughIn.latest
  const say = (mark: Meaning['mark'], headline: string, detail = ''): Meaning => ({ mark, headline, detail })
  if (!reading) return say('todo', h.begin, h.beginDetail)
  if (roughIn.stale) return say('stale', h.moved)
  const limit = [
    roughLimitWords(reading, telling),
    ...(reading.equalHubsAssumed ? [w.detail.equalHubs] : []),
  ].join('. ')
  const detail = limit.endsWith('.') ? limit : `${limit}.`
  switch (reading.next) {
    case 'uncouple':
      return say('out', h.strained, detail)
    case 'feel-again':
      return say('out', h.gapsApart(sized(reading.closure ?? 0, telling)))
    case 'vertical':
    case 'horizontal': {
      const plane = reading.next === 'vertical' ? 'v' : 'h'
      const found = apart(reading, plane, movable, telling)
      if (found) return say('out', found, detail)
      const open = [reading.steps[plane], reading.openings[plane]].some((q) => q.verdict === 'unknown')
      return open ? say('todo', h.open[plane], detail) : say('todo', h.ask[plane], detail)
    }
    case 'all-four':
      return say('todo', h.allFour, detail)
    case 'axial': {
      const move = reading.axial?.move ?? 0
      return say('out', h.axial[move > 0 ? 'apart' : 'together'](sized(move, telling)))
    }
    case 'done': {
      const near = reading.verdict === 'edge'
      const { whole } = reading.limits
      return near
        ? say('edge', whole ? h.wholeEdge : h.edge, detail)
        : say('in', whole ? h.whole : h.close, detail)
    }
  }
}

/** What a quantity was found to be: a figure with its words, or what a blade leaves open. */
export const feltWords = (
  q: FeltQuantity,
  what: 'step' | 'opening',
  plane: Plane,
  telling: Telling,
): string => {
  const w = roughInWords(telling.words).view
  if (q.value !== null)
    return what === 'step'
      ? offsetWords(q.value, plane, telling)
      : Math.abs(q.value) < 1e-9
        ? figure(0, 'displacement', telling.units)
        : roughInWords(telling.words)
            .view.opensAt(sized(q.value, telling), openAt(q.value, plane, telling))
            .replace(/^opens /, '')
  const shown = (t: number) => figure(t, 'displacement', telling.units)
  const [low, high] = q.bounds
  if (low !== null && high !== null) return w.between(shown(low), shown(high))
  if (high !== null) return w.atMost(shown(high))
  return low !== null ? w.atLeast(shown(low)) : '–'
}

const listOf = (parts: readonly string[]) =>
  parts.length < 2
    ? (parts[0] ?? '')
    : `${parts.slice(0, -1).join(', ')} and ${parts[parts.length - 1] ?? ''}`

/** What to do now in one line, and the sentences that follow from it. */
export const cureWords = (
  cure: RoughCure,
  machine: CoupledMachine,
  stationary: string,
  telling: Telling,
): { readonly headline: string; readonly rest: readonly string[] } => {
  const { words, units, footNames } = telling
  const w = roughInWords(words).cure
  const hour = (t: number) => hourOf(t, telling)
  const nothing = (t: number) => !/[1-9]/.test(figure(Math.abs(t), 'displacement', units))
  const [first] = cure.shares
  const even = spreadOf(cure) < 1e-6
  if (cure.plane === 'h') {
    const parts = cure.shares.map((s) =>
      nothing(s.wanted)
        ? w.stay(footNames(s.pair))
        : w.pushEnd(footNames(s.pair), sized(s.wanted, telling), hour(s.wanted)),
    )
    return {
      headline:
        even && first ? w.push(sized(first.wanted, telling), hour(first.wanted)) : w.pushEach(listOf(parts)),
      rest: [w.then.h],
    }
  }
  const headline =
    even && first
      ? (first.wanted > 0 ? w.allShim : w.allOut)(sized(first.wanted, telling))
      : w.each(
          listOf(
            cure.shares.map((s) =>
              nothing(s.wanted)
                ? w.leave(footNames(s.pair))
                : (s.wanted > 0 ? w.shim : w.out)(sized(s.wanted, telling), footNames(s.pair)),
            ),
          ),
        )
  const stock = leavesWords(cure.leaves, machine.feet.movable, telling)
  const { short } = cure
  const miss =
    short === null
      ? []
      : [
          short.miss < 0
            ? w.tooHigh(sized(short.miss, telling), stationary)
            : w.short(footNames(short.pair), sized(short.miss, telling)),
        ]
  return {
    headline: headline.charAt(0).toUpperCase() + headline.slice(1),
    rest: [...stock, ...miss, w.then.v],
  }
}

/** What the blade under the straightedge hints at, and whether the faces say the same; null where it says nothing. */
export const dragWords = (
  reading: RoughReading,
  far: string,
  telling: Telling,
): { readonly title: string; readonly text: string } | null => {
  const w = roughInWords(telling.words).drag
  const drag = reading.round.felt?.payload.drag
  if (drag !== 'front' && drag !== 'back') return null
  const opening = reading.openings.v.value
  const says = opening === null || Math.abs(opening) < 1e-9 ? null : opening < 0 === (drag === 'front')
  return {
    title: w[drag],
    text: [
      drag === 'front' ? w.low(far) : w.high(far),
      ...(says === null ? [] : [says ? w.agree : w.disagree]),
    ].join(' '),
  }
}
