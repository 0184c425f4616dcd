import { quickWords } from '../wording/viewWords'
import type { UnitSystem } from '../../core/units/unitSystem'
import { clockFace } from '../wording/clockFace'
import { directionsWords, movesWords } from '../wording/en'
import type { Words } from '../wording/words'
import type { QuickSumId } from '../wording/en/sums'
import { choiceWords, labelOf } from './labels'
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
  const s = quickWords.says
  const feet = list(result, 'feet').map((foot) => {
    const m = (foot as Result).move
    const v = num(m, 'v')
    const h = num(m, 'h')
    const shim =
      v === null
        ? quickWords.unknown
        : Math.abs(v) < 1e-9
          ? s.noShim
          : v > 0
            ? s.shim(small(v, say))
            : s.out(small(v, say))
    const push =
      h === null
        ? quickWords.unknown
        : Math.abs(h) < 1e-9
          ? s.noPush
          : s.push(small(h, say), h > 0 ? '3' : '9')
    return s.foot(str(foot, 'id'), shim, push)
  })
  return feet.length === 0 ? '' : s.moves(feet.join('; '))
}
const verdict: Sentence = (result) =>
  str(result, 'verdict') ? quickWords.says.verdict(choiceWords(str(result, 'verdict'))) : ''

const of = (r: unknown, ...path: readonly string[]): unknown =>
  path.reduce<unknown>((here, key) => (here as Result | null)?.[key], r)
/** `offset.v` as a person reads it. */
const quantity = (name: string): string => {
  const [what = '', plane = ''] = name.split('.')
  return [labelOf(what).toLowerCase(), choiceWords(plane)].filter(Boolean).join(' ')
}
const joined = (list: readonly string[]) => list.join('; ')

/** Where a line stands at the coupling, each part with the word of its sign; null where it stands on the other. */
const line = (r: unknown, say: Say): string | null => {
  const d = directionsWords(say.words)
  const parts = (['v', 'h'] as const).flatMap((plane) => {
    const x = num(of(r, 'offset'), plane)
    if (x === null || Math.abs(x) < 1e-9) return []
    const way = plane === 'v' ? (x > 0 ? d.high : d.low) : d.toward(x > 0 ? '3' : '9')
    return [`${small(x, say)} ${way}`]
  })
  const angles = (['v', 'h'] as const).flatMap((plane) => {
    const x = num(of(r, 'slope'), plane)
    if (x === null || Math.abs(x) < 1e-9) return []
    const way = plane === 'v' ? (x > 0 ? d.high : d.low) : d.toward(x > 0 ? '3' : '9')
    return [quickWords.says.farEnd(shownFigure(Math.abs(x), 'slope', say.units), way)]
  })
  const all = [...parts, ...angles]
  return all.length === 0 ? null : all.join(', ')
}

const target: Sentence = (r, say) => {
  const where = line(r.target, say)
  return where === null ? quickWords.says.noTarget : quickWords.says.target(where)
}
const turnsOf = (r: unknown, key: string): string => {
  const turns = num(r, key)
  return turns === null ? '' : quickWords.says.turns(String(Math.abs(Number(turns.toFixed(2)))))
}
const length = (x: number, { units }: Say) => shownFigure(Math.abs(x), 'distance', units)
const force = (x: number, { units }: Say) => shownFigure(x, 'force', units)

/** The answer of a quick sum in one sentence. */
const SAYS: Record<QuickSumId, Sentence> = {
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
    return 'corners' in r ? quickWords.says.levelBase(shim) : quickWords.says.level(shim)
  },
  'soft-foot': (r, say) => {
    const s = quickWords.says
    const fill = r.fill as Result | null
    if (fill) return s.fill(str(fill, 'foot'), small(num(fill, 'thickness') ?? 0, say))
    const found = str(r, 'diagnosis')
    return found === 'ok' ? s.sits : found === 'springy' ? s.springy : s.local
  },
  'shim-pack': (r, say) => {
    const leaves = list(r, 'pack').map((l) => (typeof l === 'number' ? l : (num(l, 'thickness') ?? 0)))
    return quickWords.says.pack(
      leaves.length === 0 ? quickWords.none : leaves.map((t) => small(t, say)).join(' + '),
      small(num(r, 'total') ?? 0, say),
    )
  },
  'axial-gap': (r, { units }) => quickWords.says.gap(shownFigure(num(r, 'coldGap') ?? 0, 'distance', units)),
  tightening: (r, { units }) => quickWords.says.torque(shownFigure(num(r, 'torque') ?? 0, 'torque', units)),
  'belt-reading': (r, { units }) =>
    quickWords.says.tension(shownFigure(num(r, 'staticTension') ?? 0, 'force', units)),
  strain: (r) => (r.strained === true ? quickWords.says.strained : quickWords.says.notStrained),
  'compare-sets': (r) => (r.agrees === true ? quickWords.says.agrees : quickWords.says.differs),
  'move-plan': (r) => (r.feasible === true ? quickWords.says.feasible : quickWords.says.notFeasible),
  'train-plan': (r) => (r.feasible === true ? quickWords.says.feasible : quickWords.says.notFeasible),
  'drum-tram': (r) => (str(r, 'next') ? quickWords.says.next(choiceWords(str(r, 'next'))) : ''),
  'vertical-flange': (r, say) => {
    const s = quickWords.says
    const shims = list(r, 'shims').flatMap((b) => {
      const t = num(b, 'thickness') ?? 0
      return t > 1e-9 ? [s.atBolt(str(b, 'id'), small(t, say))] : []
    })
    return shims.length === 0 ? s.upright : s.bolts(joined(shims))
  },
  backlash: (r, say) => {
    const s = quickWords.says
    const limit = small(num(r, 'limit') ?? 0, say)
    const worst = list(r, 'dials').reduce<number>(
      (w, d) => Math.max(w, Math.abs(num(of(d, 'worst'), 'difference') ?? 0)),
      0,
    )
    return r.over === true
      ? s.play(labelOf(str(r, 'dial')).toLowerCase(), small(worst, say))
      : s.noPlay(limit)
  },
  achieved: (r, { words }) => {
    const causes = movesWords(words).causes as Readonly<Record<string, string>>
    return list(r, 'planes')
      .map((p) => `${choiceWords(str(p, 'plane'))}: ${causes[str(p, 'cause')] ?? str(p, 'cause')}`)
      .map((t) => t.charAt(0).toUpperCase() + t.slice(1))
      .join(' ')
  },
  'step-shim': (r, say) => {
    const s = quickWords.says
    if (r.diagonal === true) return s.machineIt
    const leaves = list(r, 'leaves').map((l) =>
      s.leafIn(small(num(l, 'thickness') ?? 0, say), length(num(l, 'depth') ?? 0, say)),
    )
    return s.steps(choiceWords(str(r, 'openEdge')), joined(leaves), small(num(r, 'mismatch') ?? 0, say))
  },
  growth: target,
  'hot-check': target,
  runout: (r, say) => {
    const s = quickWords.says
    return s.travel(
      small(num(r, 'tir') ?? 0, say),
      choiceWords(str(r, 'verdict')).toLowerCase(),
      small(num(r, 'limit') ?? 0, say),
      clockFace(num(r, 'strikeAt') ?? 0),
    )
  },
  uncertainty: (r) => {
    const s = quickWords.says
    if (str(r, 'advice') === 'measure-again')
      return s.measureAgain(
        list(r, 'wide')
          .map((q) => quantity(String(q)))
          .join(', '),
      )
    const chance = num(r, 'chanceInBand')
    return chance === null ? s.move : s.chance(chance > 0.99 ? s.over99 : String(Math.round(chance * 100)))
  },
  'gear-contact': (r) =>
    list(r, 'advice')
      .map((a) => (quickWords.says.gear as Readonly<Record<string, string>>)[String(a)] ?? '')
      .filter(Boolean)
      .join(' '),
  'belt-geometry': (r, say) =>
    quickWords.says.span(length(num(r, 'span') ?? 0, say), String(Math.round(num(r, 'wrap') ?? 0))),
  'belt-tension': (r, say) => {
    const s = quickWords.says
    const [fresh, runIn] = [of(r, 'bands', 'new', 'force'), of(r, 'bands', 'run-in', 'force')]
    const band = (b: unknown) =>
      Array.isArray(b) && typeof b[0] === 'number' && typeof b[1] === 'number'
        ? s.between(force(b[0], say), force(b[1], say))
        : null
    const at = length(num(r, 'deflection') ?? 0, say)
    const [first, second] = [band(fresh), band(runIn)]
    return first
      ? s.deflect(at, first, second)
      : second
        ? s.deflectRunIn(at, second)
        : s.press(at, force(num(r, 'force') ?? 0, say))
  },
  'belt-set': (r) => {
    const s = quickWords.says
    return (s.set as Readonly<Record<string, string>>)[str(r, 'advice')] ?? ''
  },
  'belt-takeup': (r, say) => {
    const s = quickWords.says
    const travel = num(r, 'travel') ?? num(r, 'dC')
    if (travel === null || Math.abs(travel) < 1e-9) return s.stays
    const turns = turnsOf(r, num(r, 'turnsRounded') === null ? 'turns' : 'turnsRounded')
    return (travel > 0 ? s.takeUp : s.letIn)(length(travel, say), turns)
  },
  'sheave-line': (r) => {
    const s = quickWords.says
    const off = list(r, 'quantities').flatMap((q) =>
      str(q, 'verdict') === 'out' ? [choiceWords(str(q, 'name'))] : [],
    )
    return off.length === 0 ? s.inLine : s.outOfLine(off.join(', '))
  },
  'four-contact': (r) =>
    (quickWords.says.contacts as Readonly<Record<string, string>>)[str(r, 'diagnosis')] ?? '',
  squareness: (r, say) => {
    const s = quickWords.says
    const by = num(r, 'farEndMove') ?? 0
    return Math.abs(by) < 1e-9 ? s.square : s.skewed(length(by, say), turnsOf(r, 'screwTurns'))
  },
  'variable-sheave': (r) => {
    const s = quickWords.says
    const driven = String(Math.round(num(r, 'drivenRpm') ?? 0))
    return s.turnsAt(driven, String(Math.round((num(r, 'powerRatio') ?? 1) * 100)))
  },
  'run-in': (r) => {
    const s = quickWords.says
    if (r.belowNow === true) return s.slackNow
    const day = num(r, 'leavesAt')
    return day === null ? s.staysTight : s.comeBack(String(Number(day.toFixed(1))))
  },
  'fit-readings': (r, say) =>
    num(r, 'residualRms') === null ? '' : quickWords.says.onCircle(small(num(r, 'residualRms') ?? 0, say)),
}

export const sentenceOf = (id: string, result: unknown, say: Say): string => {
  const own = Object.hasOwn(SAYS, id) ? SAYS[id as QuickSumId] : undefined
  return own?.(result as Result, say) || quickWords.known
}
