import { flangeWords, movesWords, typingWords } from '../../wording/en'
import type { FlangeBolt } from '../../../core/flange/flangeShims'
import type { LogEntry } from '../../../core/logbook/entry'
import type { BoltLeaves } from '../../../core/register/flangeMachine'
import type { FlangeMoveEntries } from '../../../core/stages/flangeMove/entries'
import type { BoltChange, PushTold } from '../../../core/stages/flangePlan/entries'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { namedParts, typedValue, unitOf, withUnit } from '../../forms/typed'
import { clockFace } from '../../wording/clockFace'
import type { Telling } from '../../wording/telling'
import { readShims } from '../move/form'

/** What stands in the boxes of a move of a flange, as typed: by bolt, and by plane. */
export interface FlangeMoveTexts {
  units: UnitSystem
  in: Record<string, string>
  out: Record<string, string>
  pushed: { v: string; h: string }
  toGo: { v: string; h: string }
  remark: string
  /** The move that is corrected; empty for a new one. */
  correcting: string
}

export const blankFlangeMove = (units: UnitSystem): FlangeMoveTexts => ({
  units,
  in: {},
  out: {},
  pushed: { v: '', h: '' },
  toGo: { v: '', h: '' },
  remark: '',
  correcting: '',
})

const shown = (x: number, was: UnitSystem, units: UnitSystem) =>
  String(Number(fromCore(toCore(x, 'displacement', was), 'displacement', units).toPrecision(6)))

/** The boxes filled with what a plan or a logged move says. */
export const fillFlangeMove = (
  texts: FlangeMoveTexts,
  told: {
    readonly units: UnitSystem
    readonly changes: readonly BoltChange[]
    readonly push: PushTold | null
  },
  units: UnitSystem,
): FlangeMoveTexts => {
  const list = (shims: readonly number[]) => shims.map((t) => shown(t, told.units, units)).join(' + ')
  return {
    ...texts,
    in: Object.fromEntries(told.changes.map((c) => [c.bolt, list(c.putIn)])),
    out: Object.fromEntries(told.changes.map((c) => [c.bolt, list(c.takenOut)])),
    pushed: told.push
      ? { v: shown(told.push.v, told.units, units), h: shown(told.push.h, told.units, units) }
      : { v: '', h: '' },
  }
}

/** A logged move in its boxes, to be corrected. */
export const editFlangeMove = (entry: LogEntry<'flange-moved'>, units: UnitSystem): FlangeMoveTexts => ({
  ...fillFlangeMove(blankFlangeMove(units), { ...entry.payload, push: entry.payload.pushed }, units),
  remark: entry.payload.remark,
  correcting: entry.id,
})

/** The same texts meaning the same in other units. */
export const nameFlangeMoveUnits = (texts: FlangeMoveTexts, was: UnitSystem): void => {
  const unit = unitOf('displacement', was)
  for (const group of [texts.in, texts.out])
    for (const key of Object.keys(group)) group[key] = namedParts(group[key] ?? '', unit)
  for (const group of [texts.pushed, texts.toGo])
    for (const key of ['v', 'h'] as const) group[key] = withUnit(group[key], unit)
}

export interface FlangeMoveRead {
  /** What can't be read, by `in.1`, `out.1`, `pushed.v`, `toGo.v`. */
  readonly faults: Readonly<Record<string, string>>
  readonly questions: readonly string[]
  readonly payload: FlangeMoveEntries['flange-moved'] | null
  /** What both dials have to go; null until both are typed. */
  readonly toGo: PushTold | null
}

const planeOf = (
  texts: { readonly v: string; readonly h: string },
  group: string,
  faults: Record<string, string>,
  { units, words }: Telling,
): PushTold | null => {
  const value = (plane: 'v' | 'h') => {
    const read = readTypedNumber(texts[plane], 'displacement', units)
    if (read.ok) return typedValue(texts[plane], 'displacement', units) ?? 0
    if (read.fault !== 'empty') faults[`${group}.${plane}`] = typingWords(words).faults[read.fault]
    return null
  }
  const [v, h] = [value('v'), value('h')]
  return v === null && h === null ? null : { v: v ?? 0, h: h ?? 0 }
}

/** Reads the boxes of a move against what lies under the bolts. */
export const readFlangeMove = (
  texts: FlangeMoveTexts,
  bolts: readonly FlangeBolt[],
  leaves: BoltLeaves,
  packLimit: number,
  telling: Telling,
): FlangeMoveRead => {
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const w = flangeWords(telling.words).move
  const changes = bolts.flatMap((b, i): readonly BoltChange[] => {
    const [takenOut, putIn] = (['out', 'in'] as const).map((way) => {
      const read = readShims(texts[way][b.id], telling)
      if (typeof read !== 'string') return read
      faults[`${way}.${b.id}`] = read
      return []
    }) as [readonly number[], readonly number[]]
    const lies = (leaves[i]?.length ?? 0) - takenOut.length + putIn.length
    if (putIn.length > 0 && lies > packLimit)
      questions.push(w.manyLeaves(clockFace(b.clock), lies, packLimit))
    for (const t of putIn)
      if (toCore(t, 'displacement', telling.units) > 6.5)
        questions.push(
          movesWords(telling.words).thickShim(`${String(t)} ${unitOf('displacement', telling.units)}`),
        )
    return takenOut.length + putIn.length > 0 ? [{ bolt: b.id, takenOut, putIn }] : []
  })
  const pushed = planeOf(texts.pushed, 'pushed', faults, telling)
  const moves = pushed !== null && (pushed.v !== 0 || pushed.h !== 0)
  const toGo =
    texts.toGo.v.trim() && texts.toGo.h.trim() ? planeOf(texts.toGo, 'toGo', faults, telling) : null
  const whole = Object.keys(faults).length === 0
  return {
    faults,
    questions,
    toGo: whole ? toGo : null,
    payload:
      whole && (changes.length > 0 || moves)
        ? { units: telling.units, changes, pushed: moves ? pushed : null, remark: texts.remark.trim() }
        : null,
  }
}
