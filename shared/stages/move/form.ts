import { feetWords, movesWords, typingWords } from '../../wording/en'
import type { LogEntry } from '../../../core/logbook/entry'
import type { MoveEntries } from '../../../core/stages/move/entries'
import type { FootChange, SideChange } from '../../../core/stages/plan/entries'
import { pairKey, SIDES, type MachineRole, type Side } from '../../../core/plan/pairNames'
import type { PlanFoot } from '../../../core/plan/movePlan'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { namedParts, typedValue, unitOf } from '../../forms/typed'
import { figure, thickness } from '../../wording/figures'
import { capital } from '../../wording/capital'
import { pairName, type Telling } from '../../wording/telling'

/** What stands in the boxes of a move, as typed; feet by `footKey`, side moves by `pairKey`. */
export interface MoveTexts {
  units: UnitSystem
  out: Record<string, string>
  in: Record<string, string>
  side: Record<string, string>
  remark: string
  /** The driven machine was moved too. */
  driven?: boolean
  /** The move being corrected, if one is. */
  correcting: string
}

export const blankMove = (units: UnitSystem): MoveTexts => ({
  units,
  out: {},
  in: {},
  side: {},
  remark: '',
  correcting: '',
})

export const footKey = (pair: string, side: Side, machine: MachineRole = 'movable'): string =>
  `${pairKey(pair, machine)}-${side}`

/** Changes and side moves in the boxes: a plan taken as it is, or a logged move. */
export const fillMove = (
  texts: MoveTexts,
  entry: {
    readonly units: UnitSystem
    readonly changes: readonly FootChange[]
    readonly side: readonly SideChange[]
  },
  what: { readonly shims: boolean; readonly side: boolean },
  units: UnitSystem,
): MoveTexts => {
  const shown = (t: number) =>
    String(Number(fromCore(toCore(t, 'displacement', entry.units), 'displacement', units).toPrecision(8)))
  const list = (ts: readonly number[]) => ts.map(shown).join(' + ')
  const { changes } = entry
  return {
    ...texts,
    ...(what.shims
      ? {
          out: Object.fromEntries(changes.map((c) => [footKey(c.pair, c.side, c.machine), list(c.takenOut)])),
          in: Object.fromEntries(changes.map((c) => [footKey(c.pair, c.side, c.machine), list(c.putIn)])),
        }
      : {}),
    ...(what.side
      ? {
          side: Object.fromEntries(entry.side.map((s) => [pairKey(s.pair, s.machine), shown(s.moved)])),
        }
      : {}),
  }
}

/** Whether anything of it is done at the driven machine. */
export const movesDriven = (entry: {
  readonly changes: readonly Pick<FootChange, 'machine'>[]
  readonly side: readonly Pick<SideChange, 'machine'>[]
}): boolean => [...entry.changes, ...entry.side].some((c) => c.machine === 'stationary')

/** A logged move in its boxes, to be corrected. */
export const editMove = (entry: LogEntry<'move-made'>, units: UnitSystem): MoveTexts => ({
  ...fillMove(blankMove(units), entry.payload, { shims: true, side: true }, units),
  remark: entry.payload.remark,
  driven: movesDriven(entry.payload),
  correcting: entry.id,
})

/** The same texts meaning the same in other units. */
export const nameMoveUnits = (texts: MoveTexts, was: UnitSystem): void => {
  const unit = unitOf('displacement', was)
  for (const group of [texts.out, texts.in, texts.side])
    for (const key of Object.keys(group)) group[key] = namedParts(group[key] ?? '', unit)
}

/** Shims typed as a list: separated by plus signs, semicolons or spaces; or a sentence of what is wrong. */
export const readShims = (text: string | undefined, telling: Telling): readonly number[] | string => {
  const { words, units } = telling
  const bare = (text ?? '').replace(/\b(none|nil)\b/gi, '').trim()
  // 20,20 may be two shims or a decimal comma: nothing is guessed.
  if (/^\d+(?:\s*,\s*\d+)+$/.test(bare) && !bare.startsWith('0')) return movesWords(words).twoOrOne
  const parts = bare.split(/\s*[+;]\s*|\s+(?=[\d.,])/).filter((p) => p.trim() !== '')
  const shims: number[] = []
  for (const part of parts) {
    const read = readTypedNumber(part, 'displacement', units)
    if (!read.ok) return typingWords(words).faults[read.fault]
    if (read.value <= 0) return movesWords(words).fewShims
    shims.push(read.value)
  }
  return shims
}

/** Thicker than any leaf people keep: a digit has slipped, or it is a plate. Millimetres. */
const THICKEST_LEAF: Millimetres = 6.5

export interface MoveRead {
  /** What can't be read, by the key of its box behind `out.`, `in.` or `side.`. */
  readonly faults: Readonly<Record<string, string>>
  /** What is odd and asked once before it is logged. */
  readonly questions: readonly string[]
  readonly payload: MoveEntries['move-made'] | null
  readonly hasShims: boolean
  readonly hasSide: boolean
}

/** Reads the boxes of a move against the feet as they stand. */
export const readMove = (
  texts: MoveTexts,
  feet: readonly PlanFoot[],
  packLimit: number,
  telling: Telling,
): MoveRead => {
  const { words, units } = telling
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const changes: FootChange[] = []
  const side: SideChange[] = []
  const mm = (t: number) => toCore(t, 'displacement', units)
  for (const foot of feet) {
    const machine = foot.machine ?? 'movable'
    const own = pairKey(foot.id, machine)
    const name = pairName(telling, foot)
    for (const which of SIDES) {
      const key = footKey(foot.id, which, machine)
      const [takenOut, putIn] = (['out', 'in'] as const).map((way) => {
        const read = readShims(texts[way][key], telling)
        if (typeof read !== 'string') return read
        faults[`${way}.${key}`] = read
        return []
      }) as [readonly number[], readonly number[]]
      for (const t of putIn)
        if (mm(t) > THICKEST_LEAF)
          questions.push(
            movesWords(words).thickShim(`${thickness(mm(t), units)} ${units === 'inch' ? 'mil' : 'mm'}`),
          )
      const leaves = foot.existing[which].length - takenOut.length + putIn.length
      if (putIn.length > 0 && leaves > packLimit)
        questions.push(
          movesWords(words).manyLeaves(
            capital(`${name} ${feetWords(words).sides[which]}`),
            leaves,
            packLimit,
          ),
        )
      if (takenOut.length + putIn.length > 0)
        changes.push({ machine, pair: foot.id, side: which, takenOut, putIn })
    }
    const typed = texts.side[own] ?? ''
    const read = readTypedNumber(typed, 'displacement', units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[`side.${own}`] = typingWords(words).faults[read.fault]
      continue
    }
    const moved = typedValue(typed, 'displacement', units) ?? 0
    if (moved === 0) continue
    side.push({ machine, pair: foot.id, moved })
    const room = moved > 0 ? foot.sidePlus : foot.sideMinus
    const d = (x: number) => figure(x, 'displacement', units, { unit: true })
    if (Math.abs(mm(moved)) > room * (1 + 1e-9))
      questions.push(
        movesWords(words).beyondRoom(capital(feetWords(words).feet(name)), d(Math.abs(mm(moved))), d(room)),
      )
  }
  const whole = Object.keys(faults).length === 0
  return {
    faults,
    questions,
    payload:
      whole && changes.length + side.length > 0
        ? { units, changes, side, remark: texts.remark.trim() }
        : null,
    hasShims: whole && changes.length > 0,
    hasSide: whole && side.length > 0,
  }
}
