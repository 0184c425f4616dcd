import type { Meaning } from './meaning'
import { feetWords, lookWords, placesWords } from './en'
import { BASE_LIMIT, BASE_CORNERS, type BaseFound } from '../../core/stages/look/base'
import { BASE_EDGES } from '../../core/stages/look/entries'
import type { Looks, PipeStrain } from '../../core/stages/look/looks'
import type { FootFound } from '../../core/stages/look/shimsFound'
import { figure, pack, UNIT_NAMES } from './figures'
import { capital } from './capital'
import type { Telling } from './telling'

const small = (t: number, { units }: Telling) => figure(t, 'displacement', units, { unit: true })
const slope = (t: number, { units }: Telling) => figure(Math.abs(t), 'slope', units, { unit: true })

/** How the hub goes when the pipe lets go: `2.0 mil up and 1.0 mil toward 9`. */
export const pipeWay = ({ vertical, horizontal }: PipeStrain, telling: Telling): string => {
  const w = lookWords(telling.words).pipe
  const shows = (t: number | null): t is number =>
    t !== null && /[1-9]/.test(figure(t, 'displacement', telling.units))
  const size = (t: number) => small(Math.abs(t), telling)
  const v = shows(vertical) ? (vertical > 0 ? w.up : w.down)(size(vertical)) : ''
  const h = shows(horizontal) ? (horizontal > 0 ? w.three : w.nine)(size(horizontal)) : ''
  if (v && h) return w.and(v, h)
  return v || h || w.still
}

const limitOfPipe = (pipe: PipeStrain, telling: Telling) =>
  [small(pipe.limit, telling), lookWords(telling.words)[pipe.source]] as const

/** What the dial at the coupling says while the pipe is loosened. */
export const pipeWords = (pipe: PipeStrain, telling: Telling): string => {
  const w = lookWords(telling.words)
  return pipe.verdict === 'out'
    ? w.headlines.pipe(
        small(Math.hypot(pipe.vertical ?? 0, pipe.horizontal ?? 0), telling),
        pipeWay(pipe, telling),
      )
    : w.pipe.free(pipeWay(pipe, telling), ...limitOfPipe(pipe, telling))
}

const steepest = (base: BaseFound) => Math.max(...BASE_EDGES.map((e) => Math.abs(base.edges[e])))

/** What brings a base level, corner by corner; and that it is twisted, where it is. */
export const baseWords = (base: BaseFound, telling: Telling): readonly string[] => {
  const w = lookWords(telling.words)
  const list = BASE_CORNERS.filter((c) =>
    /[1-9]/.test(figure(base.shims[c], 'displacement', telling.units)),
  ).map((c) => w.base.low(w.corners[c], small(base.shims[c], telling)))
  const twist = Math.max(Math.abs(base.twist), Math.abs(base.edges.far - base.edges.coupling))
  return [
    base.verdict !== 'out' || list.length === 0 ? w.base.level : w.base.cure(list.join(', ')),
    ...(base.twisted ? [w.base.twisted(slope(twist, telling))] : []),
  ]
}

/** What the opened machine looks like, in one sentence for every state. */
export const meaningOfLooks = (looks: Looks, telling: Telling): Meaning => {
  const w = lookWords(telling.words)
  const h = w.headlines
  const { pipe, base, places, unseen, counts } = looks
  const reported = places.filter((p) => p.entry?.payload.found === 'to-report')
  const toReport =
    reported.length > 0
      ? h.report(reported.map((p) => placesWords(telling.words)[p.place].name.toLowerCase()).join(', '))
      : ''
  const also = (...details: readonly string[]) => details.filter(Boolean).join(' ')
  const pins = looks.pinsOut ? h.pinsOut : ''
  if (pipe?.verdict === 'out')
    return {
      mark: 'out',
      headline: pipeWords(pipe, telling),
      detail: also(h.pipeDetail(...limitOfPipe(pipe, telling)), toReport),
    }
  if (base?.verdict === 'out')
    return {
      mark: 'out',
      headline: h.base(slope(steepest(base), telling)),
      detail: also(h.baseDetail(slope(BASE_LIMIT, telling)), toReport),
    }
  if (unseen.length === places.length)
    return { mark: 'todo', headline: h.nothing, detail: also(h.nothingDetail, pins) }
  if (unseen.length > 0)
    return {
      mark: 'todo',
      headline: h.some(places.length - unseen.length, places.length),
      detail: also(toReport, pins),
    }
  const all = h.all(places.length, counts['put-right'])
  return toReport
    ? { mark: 'done', headline: toReport, detail: pins }
    : { mark: 'done', headline: all, detail: pins }
}

const leaves = (list: readonly number[], { units }: Telling) =>
  list.length === 0 ? pack(list, units) : `${pack(list, units)} ${UNIT_NAMES[units].displacement}`

/** What a foot is called in a list; those of the driven machine are told apart. */
export const footPlace = (
  f: Pick<FootFound, 'machine' | 'pair' | 'side'>,
  { words, footNames }: Telling,
): string => {
  const place = feetWords(words).place(footNames(f.pair, f.machine), feetWords(words).sides[f.side])
  return f.machine === 'movable' ? place : lookWords(words).drivenFoot(place)
}

/** Where what was found isn't what the register has; that both agree; empty while nothing was written. */
export const shimsFoundWords = (looks: Looks, telling: Telling): readonly string[] => {
  const w = lookWords(telling.words).shims
  const written = looks.feet.filter((f) => f.found)
  if (written.length === 0) return []
  const others = written.filter((f) => f.differs)
  return others.length === 0
    ? [w.asRegistered]
    : [
        ...others.map((f) =>
          w.differs(
            capital(footPlace(f, telling)),
            leaves(f.found ?? [], telling),
            leaves(f.registered, telling),
          ),
        ),
        w.startsFrom,
      ]
}
