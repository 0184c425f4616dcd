import type { UnitSystem } from '../../core/units/unitSystem'
import type { Words } from '../wording/en'
import type { QuickSumId } from '../wording/en/sums'
import { choiceWords } from './labels'
import { shownFigure } from './resultRows'

type Result = Readonly<Record<string, unknown>>

const num = (r: unknown, key: string): number | null => {
  const v = (r as Result | null)?.[key]
  return typeof v === 'number' ? v : null
}
const str = (r: unknown, key: string): string => {
  const v = (r as Result | null)?.[key]
  return typeof v === 'string' ? v : ''
}
const list = (r: unknown, key: string): readonly unknown[] => {
  const v = (r as Result | null)?.[key]
  return Array.isArray(v) ? v : []
}

interface Say {
  readonly words: Words
  readonly units: UnitSystem
}
type Sentence = (result: Result, say: Say) => string

const small = (x: number, { units }: Say) => shownFigure(Math.abs(x), 'displacement', units)

/** What is done at each foot pair: shims and pushes with the words of their signs. */
const moves: Sentence = (result, say) => {
  const s = say.words.quick.says
  const feet = list(result, 'feet').map((foot) => {
    const m = (foot as Result).move
    const v = num(m, 'v')
    const h = num(m, 'h')
    const shim =
      v === null
        ? say.words.quick.unknown
        : Math.abs(v) < 1e-9
          ? s.noShim
          : v > 0
            ? s.shim(small(v, say))
            : s.out(small(v, say))
    const push =
      h === null
        ? say.words.quick.unknown
        : Math.abs(h) < 1e-9
          ? s.noPush
          : s.push(small(h, say), h > 0 ? '3' : '9')
    return s.foot(str(foot, 'id'), shim, push)
  })
  return feet.length === 0 ? '' : s.moves(feet.join('; '))
}
const verdict: Sentence = (result, { words }) =>
  str(result, 'verdict') ? words.quick.says.verdict(choiceWords(str(result, 'verdict'), words)) : ''

/** The answer of a quick sum in one sentence, where it has one. */
const SAYS: Partial<Record<QuickSumId, Sentence>> = {
  'rim-face': moves,
  'reverse-rim': moves,
  'spacer-faces': moves,
  heads: moves,
  'gap-straightedge': moves,
  'coupling-values': moves,
  'foot-values': moves,
  judge: verdict,
  level: (r, say) => {
    const shim = small(num(r, 'shim') ?? 0, say)
    return 'corners' in r ? say.words.quick.says.levelBase(shim) : say.words.quick.says.level(shim)
  },
  'soft-foot': (r, say) => {
    const s = say.words.quick.says
    const fill = r.fill as Result | null
    if (fill) return s.fill(str(fill, 'foot'), small(num(fill, 'thickness') ?? 0, say))
    const found = str(r, 'diagnosis')
    return found === 'ok' ? s.sits : found === 'springy' ? s.springy : s.local
  },
  'shim-pack': (r, say) => {
    const leaves = list(r, 'pack').map((l) => (typeof l === 'number' ? l : (num(l, 'thickness') ?? 0)))
    return say.words.quick.says.pack(
      leaves.length === 0 ? say.words.quick.none : leaves.map((t) => small(t, say)).join(' + '),
      small(num(r, 'total') ?? 0, say),
    )
  },
  'axial-gap': (r, { words, units }) =>
    words.quick.says.gap(shownFigure(num(r, 'coldGap') ?? 0, 'distance', units)),
  tightening: (r, { words, units }) =>
    words.quick.says.torque(shownFigure(num(r, 'torque') ?? 0, 'torque', units)),
  'belt-reading': (r, { words, units }) =>
    words.quick.says.tension(shownFigure(num(r, 'staticTension') ?? 0, 'force', units)),
  strain: (r, { words }) => (r.strained === true ? words.quick.says.strained : words.quick.says.notStrained),
  'compare-sets': (r, { words }) => (r.agrees === true ? words.quick.says.agrees : words.quick.says.differs),
  'move-plan': (r, { words }) =>
    r.feasible === true ? words.quick.says.feasible : words.quick.says.notFeasible,
  'train-plan': (r, { words }) =>
    r.feasible === true ? words.quick.says.feasible : words.quick.says.notFeasible,
  'drum-tram': (r, { words }) =>
    str(r, 'next') ? words.quick.says.next(choiceWords(str(r, 'next'), words)) : '',
  'fit-readings': (r, say) =>
    num(r, 'residualRms') === null
      ? ''
      : say.words.quick.says.onCircle(small(num(r, 'residualRms') ?? 0, say)),
}

export const sentenceOf = (id: string, result: unknown, say: Say): string => {
  const own = Object.hasOwn(SAYS, id) ? SAYS[id as QuickSumId] : undefined
  return (own && own(result as Result, say)) || say.words.quick.known
}
