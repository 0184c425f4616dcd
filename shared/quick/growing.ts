import type { MachineRole } from '../../core/plan/pairNames'
import { readTypedNumber } from '../../core/units/typedNumber'
import type { UnitSystem } from '../../core/units/unitSystem'
import {
  blankRise,
  blankTarget,
  pairKey,
  type GrowingPair,
  type RiseBox,
  type RiseTexts,
  type TargetTexts,
} from '../stages/target/form'
import type { TextGroup, TextList, Texts } from './texts'

const ROLES = ['stationary', 'movable'] as const
/** As a side view shows them: the driven machine at the left, its outboard pair outermost. */
const ORDER: Readonly<Record<MachineRole, readonly string[]>> = {
  stationary: ['outboard', 'inboard'],
  movable: ['inboard', 'outboard'],
}

interface ListedFoot {
  readonly id: string
  readonly at: (name: string) => string
  readonly typed: TextGroup | null
}
interface ListedMachine {
  readonly role: string
  readonly feet: readonly ListedFoot[]
}

const textIn = (group: TextGroup, name: string): string => {
  const own = group[name]
  return typeof own === 'string' ? own : ''
}
const listed = (machines: Texts | undefined): readonly ListedMachine[] =>
  ((machines as TextList | null | undefined) ?? []).map((m) => {
    const machine = m as TextGroup
    return {
      role: textIn(machine, 'role'),
      feet: ((machine.feet as TextList | null) ?? []).map((f) => {
        const foot = f as TextGroup
        return {
          id: textIn(foot, 'id'),
          at: (name) => textIn(foot, name),
          typed: (foot.rise as TextGroup | null | undefined) ?? null,
        }
      }),
    }
  })

/** What stands in the box of an empty row: nothing but the name of its pair. */
const blank = (m: ListedMachine): boolean =>
  m.role === '' &&
  m.feet.every(
    (f) =>
      f.typed === null &&
      ['x', 'material', 'alpha', 'height', 'coldTemp', 'runTemp', 'sideRise'].every((n) => f.at(n) === ''),
  )

/** Whether a sum's list of machines is one that the board of the cold target can hold: one temperature when cold, one way a machine. */
export const fitsGrowth = (machines: Texts | undefined): boolean => {
  const all = listed(machines).filter((m) => !blank(m))
  const colds = new Set(all.flatMap((m) => m.feet.filter((f) => !f.typed).map((f) => f.at('coldTemp'))))
  return (
    colds.size <= 1 &&
    new Set(all.map((m) => m.role)).size === all.length &&
    all.every(
      (m) =>
        ROLES.some((r) => r === m.role) &&
        m.feet.length >= 2 &&
        new Set(m.feet.map((f) => f.id)).size === m.feet.length &&
        m.feet.every((f) => f.id !== '') &&
        new Set(m.feet.map((f) => f.typed === null)).size === 1,
    )
  )
}

/** The pairs of the board, those of a machine that isn't listed by their usual names. */
const pairsOf = (all: readonly ListedMachine[]): readonly GrowingPair[] =>
  ROLES.flatMap((machine) => {
    const ids = all.find((m) => m.role === machine)?.feet.map((f) => f.id) ?? ORDER[machine]
    const usual = ORDER[machine].filter((id) => ids.includes(id))
    return [...usual, ...ids.filter((id) => !usual.includes(id))].map((id) => ({ machine, id, x: null }))
  })

/** Expansion as the board asks for it, in millionths; what can't be read stays as it stands. */
const millionths = (alpha: string): string => {
  const read = readTypedNumber(alpha, 'plain', 'metric')
  return read.ok ? String(Number((read.value * 1e6).toPrecision(9))) : alpha
}
const fromMillionths = (alpha: string): string => {
  const read = readTypedNumber(alpha, 'plain', 'metric')
  return read.ok ? (read.value * 1e-6).toFixed(12).replace(/\.?0+$/, '') : alpha
}

/** A distance on the driven machine's side counts as negative in a sum; on the board it is taped. */
const turned = (machine: MachineRole, distance: string): string => {
  const typed = distance.trim()
  if (machine === 'movable' || typed === '') return distance
  return /^[-−]/.test(typed) ? typed.slice(1).trim() : `-${typed}`
}

/** The board of the cold target that says what a sum's list of machines says. Only for one that `fitsGrowth`. */
export const growthOnBoard = (
  machines: Texts | undefined,
  units: UnitSystem,
): { readonly texts: TargetTexts; readonly pairs: readonly GrowingPair[] } => {
  const all = listed(machines).filter((m) => !blank(m))
  const pairs = pairsOf(all)
  const texts = blankTarget(units, pairs)
  for (const { role, feet } of all)
    for (const f of feet) {
      const machine = role as MachineRole
      const key = pairKey({ machine, id: f.id })
      if (!f.typed) texts.cold = f.at('coldTemp')
      texts.distances[key] = turned(machine, f.at('x'))
      texts.feet[key] = {
        ...blankRise(),
        how: f.typed ? 'typed' : 'heat',
        material: f.at('alpha') !== '' ? 'own' : ((f.at('material') || 'cast-iron') as RiseTexts['material']),
        alpha: millionths(f.at('alpha')),
        height: f.at('height'),
        running: f.at('runTemp'),
        rise: f.typed ? textIn(f.typed, 'v') : '',
        side: f.typed ? textIn(f.typed, 'h') : f.at('sideRise'),
      }
    }
  return { texts, pairs }
}

const MUST: readonly (keyof RiseTexts)[] = ['height', 'running', 'rise', 'side', 'alpha']

/** The list of machines that a sum takes, as the board says it; a machine nobody typed anything of is left out. */
export const growthListed = (texts: TargetTexts, pairs: readonly GrowingPair[]): TextList =>
  ROLES.flatMap((machine) => {
    const ours = pairs.filter((p) => p.machine === machine)
    const own = (p: GrowingPair) => texts.feet[pairKey(p)] ?? blankRise()
    const taped = (p: GrowingPair) => texts.distances[pairKey(p)] ?? ''
    const begun = ours.some((p) => taped(p).trim() !== '' || MUST.some((box) => own(p)[box].trim() !== ''))
    if (!begun) return []
    const feet = ours.map((p): TextGroup => {
      const rest = own(p)
      const heat = rest.how === 'heat'
      const named = heat && rest.material !== 'own'
      return {
        id: p.id,
        x: turned(machine, taped(p)),
        material: named ? rest.material : '',
        alpha: heat && rest.material === 'own' ? fromMillionths(rest.alpha) : '',
        height: heat ? rest.height : '',
        coldTemp: heat ? texts.cold : '',
        runTemp: heat ? rest.running : '',
        sideRise: heat ? rest.side : '',
        // Nothing typed sideways is no growth sideways.
        rise: heat ? null : { v: rest.rise, h: rest.side.trim() === '' ? '0' : rest.side },
      }
    })
    return [{ role: machine, feet }]
  })

const FIELD: Readonly<Record<RiseBox, string>> = {
  alpha: 'alpha',
  height: 'height',
  running: 'runTemp',
  rise: 'rise/v',
  side: 'sideRise',
  x: 'x',
}

/** Where a box of the board stands in the sum's form. */
export const growthPath = (machines: TextList, pair: GrowingPair, box: RiseBox, typed: boolean): string => {
  const m = listed(machines).findIndex((x) => x.role === pair.machine)
  const f = listed(machines)[m]?.feet.findIndex((x) => x.id === pair.id) ?? -1
  return `machines/${String(m)}/feet/${String(f)}/${typed && box === 'side' ? 'rise/h' : FIELD[box]}`
}
