import { clockFace } from './clockFace'
import { clockwardWords, misalignmentWords } from './directions'
import { directionsWords, flangeWords, verdictsWords } from './en'
import { figure, pack } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import { capital } from './capital'
import type { Telling } from './telling'
import type { FlangeState } from '../../core/jobs/flange'
import { rockOf, type FlangePlane } from '../../core/flange/flangePlane'
import { partners, type FlangeBolt } from '../../core/flange/flangeShims'
import type { AchievedTilt } from '../../core/flange/achievedTilt'
import type { FlangeNeed } from '../../core/stages/flangePlan/need'
import type { FlangePushWatch } from '../../core/stages/flangeMove/push'
import type { BoltChange } from '../../core/stages/flangePlan/entries'
import type { Spigot } from '../../core/stages/flangeLook/flangeFound'
import type { FlangeMachine } from '../../core/register/machine'
import { toCore, type Millimetres, type UnitSystem } from '../../core/units/unitSystem'

const small = (t: Millimetres, { units }: Pick<Telling, 'units'>) =>
  figure(t, 'displacement', units, { unit: true })

/** A bolt by its hour: `1:30`. */
export const boltClock = (bolts: readonly FlangeBolt[], id: string): string => {
  const found = bolts.find((b) => b.id === id)
  return found ? clockFace(found.clock) : id
}

/** `12, 1:30 and 7:30`. */
export const clockList = (clocks: readonly string[], { words }: Pick<Telling, 'words'>): string =>
  clocks.length < 2
    ? (clocks[0] ?? '')
    : `${clocks.slice(0, -1).join(', ')}${flangeWords(words).pick.and}${clocks[clocks.length - 1] ?? ''}`

/** What comes from the shelf, alike packs together: `5 + 2 at 3 and 4:30`. */
export const pickWords = (
  changes: readonly BoltChange[],
  bolts: readonly FlangeBolt[],
  from: UnitSystem,
  telling: Telling,
): readonly string[] => {
  const w = flangeWords(telling.words).pick
  const byPack = new Map<string, string[]>()
  for (const { bolt, putIn } of changes) {
    if (putIn.length === 0) continue
    const told = pack(
      putIn.map((t) => toCore(t, 'displacement', from)),
      telling.units,
    )
    byPack.set(told, [...(byPack.get(told) ?? []), boltClock(bolts, bolt)])
  }
  return [...byPack].map(([told, clocks]) => w.at(told, clockList(clocks, telling)))
}

/** What stays once the tilt is gone: `1.4 mil toward 11`; empty where it shows as nothing. */
export const staysWords = ({ stays }: FlangeNeed, telling: Telling): string =>
  clockwardWords(stays.at, 'displacement', telling)

/** Whether shims can cure what stays, in a sentence with its verdict. */
export const staysSentence = (need: FlangeNeed, spigot: Spigot, telling: Telling): string => {
  const w = flangeWords(telling.words).stays
  const by = staysWords(need, telling)
  if (by === '') return w.square
  const verdict = verdictsWords(telling.words)[need.stays.judgement?.verdict ?? 'unknown'].toLowerCase()
  return w[spigot.fit](by, verdict)
}

/** How the spigot sits, and who says so. */
export const spigotWords = (spigot: Spigot, telling: Telling): string => {
  const w = flangeWords(telling.words).spigot
  return w.says(
    w.fit[spigot.fit].toLowerCase(),
    spigot.play === null || spigot.fit === 'tight' ? '' : small(spigot.play, telling),
    w.from[spigot.from],
  )
}

/** Which way and how far: `4.2 mil toward 4`. */
export const pushWords = (push: { readonly v: number; readonly h: number }, telling: Telling): string =>
  clockwardWords(push, 'displacement', telling)

/** What the pairs of the shims add to: flat, bent, or no pairs to add. */
export const rockWords = (
  bolts: readonly FlangeBolt[],
  thickness: readonly Millimetres[],
  plane: FlangePlane,
  limit: Millimetres,
  telling: Telling,
): string => {
  const w = flangeWords(telling.words).rock
  const partner = partners(bolts)
  const sums = bolts.flatMap((_, i) => {
    const p = partner[i] as number
    return p > i ? [(thickness[i] ?? 0) + (thickness[p] ?? 0)] : []
  })
  const [least, most] = [Math.min(...sums), Math.max(...sums)]
  const shown = (t: number) => figure(t, 'displacement', telling.units)
  if (sums.length === 0) return w.odd(small(plane.off, telling))
  return rockOf(plane) <= limit / 2 || shown(least) === shown(most)
    ? w.flat(shown((least + most) / 2))
    : w.bends(shown(least), shown(most))
}

/** What the plan stage says: what it asks for, and what is in hand. */
export const meaningOfFlangePlan = (
  state: Pick<FlangeState, 'need' | 'latest' | 'spigot' | 'plan'>,
  opened: number,
  telling: Telling,
): Meaning => {
  const w = flangeWords(telling.words)
  const { need, latest, spigot, plan } = state
  const where = latest.coupling ? misalignmentWords(latest.coupling, false, telling) : ''
  if (plan?.stale) return plainMeaning('stale', w.headlines.stale)
  switch (need.asks) {
    case 'unknown':
      return plainMeaning('todo', w.headlines.measure)
    case 'leave':
      return plainMeaning(latest.judgement?.verdict === 'edge' ? 'edge' : 'in', w.headlines.leave)
    case 'frame':
      return plainMeaning('out', w.headlines.frame(capital(staysWords(need, telling))), w.details.frame)
    case 'beyond':
      return plainMeaning(
        'out',
        w.headlines.beyond(need.push ? pushWords(need.push, telling) : '', small(spigot.play ?? 0, telling)),
        w.details.beyond,
      )
    case 'push':
      return plainMeaning(
        'out',
        w.headlines.push(where, need.push ? pushWords(need.push, telling) : ''),
        w.details.push,
      )
    case 'shim':
      return plainMeaning(
        'out',
        opened === 0 ? w.headlines.nothing(where) : w.headlines.shim(where, opened),
        w.details.shim,
      )
  }
}

/** What the dials at a flange say, in one sentence; null where nothing is to be pushed. */
export const flangePushWords = (
  watched: FlangePushWatch | null,
  telling: Telling,
): { readonly headline: string; readonly mark: 'todo' | 'edge' | 'out' } | null => {
  if (!watched) return null
  const w = flangeWords(telling.words).move
  const { drift, slip, toGo, arrived } = watched
  if (drift) {
    const by = small(drift.worst, telling)
    return drift.over ? { mark: 'out', headline: w.shifted(by) } : { mark: 'todo', headline: w.held(by) }
  }
  const planes = directionsWords(telling.words).planes
  if (slip) return { mark: 'edge', headline: w.slip[slip.what](planes[slip.plane]) }
  if (arrived) return { mark: 'todo', headline: w.arrived }
  return { mark: 'todo', headline: w.pushTo(pushWords(toGo, telling)) }
}

/** What the move stage says while nothing is typed. */
export const meaningOfFlangeMove = (
  state: Pick<FlangeState, 'setUp' | 'plan' | 'push' | 'moves' | 'latest' | 'need'>,
  telling: Telling,
): Meaning => {
  const w = flangeWords(telling.words)
  const { setUp, plan, push, moves, latest } = state
  if (!setUp) return plainMeaning('todo', w.headlines.measure)
  if (plan?.stale) return plainMeaning('stale', w.headlines.stale)
  const pushing = flangePushWords(push, telling)
  if (pushing) return plainMeaning(pushing.mark, pushing.headline, push?.counted ? '' : w.move.dials)
  if (plan) return plainMeaning('todo', w.move.shimsPlanned)
  if (moves.length > 0 && latest.sets.length === 0) return plainMeaning('done', w.move.logged)
  return plainMeaning('todo', state.need.asks === 'leave' ? w.move.nothing : w.move.free)
}

/** Why shims or a push did something else, or that they did as planned. */
export const achievedTiltWords = (
  { cause, turned }: AchievedTilt,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = flangeWords(words).achieved
  return cause === 'bolts-turned' && turned !== null ? w.turned(turned) : w.causes[cause]
}

/** The flange as a register has it, line by line. */
export const flangeFactWords = (machine: FlangeMachine, telling: Telling): readonly string[] => {
  const w = flangeWords(telling.words)
  const { bolts, across, plane, existing, school, spigot, play } = machine.flange
  const far = (x: number) =>
    figure(toCore(x, 'distance', machine.units), 'distance', telling.units, { unit: true })
  const mm = (t: number) => toCore(t, 'displacement', machine.units)
  const lying = existing.flatMap((leaves, i) =>
    leaves.length === 0 ? [] : [w.pick.at(pack(leaves.map(mm), telling.units), clockFace((360 / bolts) * i))],
  )
  return [
    across.v === across.h
      ? w.facts.bolts(bolts, far(across.v))
      : w.facts.oval(bolts, far(across.v), far(across.h)),
    capital(w.facts.plane(far(plane))),
    spigotWords({ fit: spigot, play: play === null ? null : mm(play), from: 'register' }, telling),
    w.facts.school(w.school[school].toLowerCase()),
    lying.length > 0 ? w.facts.shims(lying.join('; ')) : w.facts.noShims,
  ]
}
