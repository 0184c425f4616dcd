import { feetWords, softFootWords, typingWords } from '../../wording/en'
import type { CornerGaps } from '../../../core/feet/cornerGaps'
import type { FeetEntries, FootRef } from '../../../core/stages/feet/entries'
import { SIDES, type MachineRole } from '../../../core/plan/pairNames'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { namedParts, typedValue, unitOf, withUnit } from '../../forms/typed'
import type { Telling } from '../../wording/telling'
import { footKey } from '../move/form'

export const CORNERS = ['inboardOuter', 'inboardInner', 'outboardOuter', 'outboardInner'] as const
export type Corner = (typeof CORNERS)[number]

/** What stands in the boxes at the feet, as typed. Feet by `pair-side`, corners by `pair-side.corner`. */
export interface FeetTexts {
  units: UnitSystem
  step: 'gaps' | 'rises'
  rises: Record<string, string>
  pipe: 'bolted' | 'slack'
  corners: Record<string, string>
  along: string
  across: string
  remark: string
}

export const blankFeet = (units: UnitSystem): FeetTexts => ({
  units,
  step: 'gaps',
  rises: {},
  pipe: 'bolted',
  corners: {},
  along: '',
  across: '',
  remark: '',
})

export const cornerKey = (foot: string, corner: Corner): string => `${foot}.${corner}`

/** The same texts meaning the same in other units. */
export const nameFeetUnits = (texts: FeetTexts, was: UnitSystem): void => {
  const small = unitOf('displacement', was)
  for (const group of [texts.rises, texts.corners])
    for (const key of Object.keys(group)) group[key] = namedParts(group[key] ?? '', small)
  texts.along = withUnit(texts.along, unitOf('distance', was))
  texts.across = withUnit(texts.across, unitOf('distance', was))
}

/** More than any foot rises that still carries its machine: a digit has slipped. */
const FAR_TOO_MUCH: Millimetres = 2.5

export interface FeetRead {
  /** What can't be read, by the box it stands in. */
  readonly faults: Readonly<Record<string, string>>
  /** What is odd and asked once before it is logged. */
  readonly questions: readonly string[]
  readonly rises: FeetEntries['rises-read'] | null
  readonly gaps: FeetEntries['gaps-felt'] | null
  /** Feet whose rise is still to be read, in the order they are loosened. */
  readonly missing: readonly string[]
}

/** A gap or rise: empty is null, below zero is a sentence. */
const readSmall = (text: string | undefined, telling: Telling): number | null | string => {
  const read = readTypedNumber(text ?? '', 'displacement', telling.units)
  if (!read.ok) return read.fault === 'empty' ? null : typingWords(telling.words).faults[read.fault]
  return read.value < 0 ? softFootWords(telling.words).notBelowZero : read.value
}

/** Reads the boxes at the feet of the movable machine. */
export const readFeet = (texts: FeetTexts, order: readonly FootRef[], telling: Telling): FeetRead => {
  const { words, units } = telling
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const keyOf = (f: FootRef) => footKey(f.pair, f.side)

  const rises: (FootRef & { rise: number })[] = []
  const missing: string[] = []
  for (const foot of order) {
    const key = keyOf(foot)
    const rise = readSmall(texts.rises[key], telling)
    if (typeof rise === 'string') faults[key] = rise
    else if (rise === null) missing.push(key)
    else {
      rises.push({ machine: foot.machine, pair: foot.pair, side: foot.side, rise })
      if (toCore(rise, 'displacement', units) > FAR_TOO_MUCH)
        questions.push(
          softFootWords(words).muchRise(
            `${telling.footNames(foot.pair)} ${feetWords(words).sides[foot.side]}`,
            `${rise} ${unitOf('displacement', units)}`,
          ),
        )
    }
  }

  const sizeOf = (way: 'along' | 'across'): number | null => {
    const read = readTypedNumber(texts[way], 'distance', units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[way] = typingWords(words).faults[read.fault]
      return null
    }
    if (read.value <= 0) faults[way] = softFootWords(words).sizeAboveZero
    return typedValue(texts[way], 'distance', units)
  }
  const along = sizeOf('along')
  const across = sizeOf('across')
  const size = along !== null && across !== null ? { along, across } : null
  const gaps: FeetEntries['gaps-felt']['gaps'][number][] = []
  let cornersTyped = false
  for (const foot of order) {
    const corners: Record<string, number> = {}
    let felt = false
    for (const corner of CORNERS) {
      const key = cornerKey(keyOf(foot), corner)
      const gap = readSmall(texts.corners[key], telling)
      if (typeof gap === 'string') faults[key] = gap
      else if (gap !== null) {
        cornersTyped = true
        felt ||= gap > 0
      }
      corners[corner] = typeof gap === 'number' ? gap : 0
    }
    if (felt)
      gaps.push({
        machine: foot.machine,
        pair: foot.pair,
        side: foot.side,
        corners: corners as unknown as CornerGaps,
        size,
      })
  }
  const clean = (prefix: (key: string) => boolean) => !Object.keys(faults).some(prefix)
  const risesClean = clean((k) => !k.includes('.') && k !== 'along' && k !== 'across')
  const gapsClean = clean((k) => k.includes('.') || k === 'along' || k === 'across')
  return {
    faults,
    questions,
    missing,
    rises:
      risesClean && missing.length === 0 && rises.length > 0
        ? { units, rises, pipe: texts.pipe, remark: texts.remark.trim() }
        : null,
    // Nothing felt anywhere is a finding too, once somebody says that the feeler went round.
    gaps: gapsClean && (cornersTyped || texts.step === 'gaps') ? { units, gaps } : null,
  }
}

/** Criss-cross from the coupling end: the order in which bolts are tightened, and loosened one at a time. */
export const crissCross = (
  pairs: readonly { readonly id: string }[],
  machine: MachineRole = 'movable',
): readonly FootRef[] => {
  const inward: { readonly id: string }[] = []
  const rest = [...pairs]
  while (rest.length > 0) {
    inward.push(rest.shift() as { readonly id: string })
    const last = rest.pop()
    if (last) inward.push(last)
  }
  const foot = (id: string, left: boolean): FootRef => ({
    machine,
    pair: id,
    side: left ? (SIDES[0] as 'left') : (SIDES[1] as 'right'),
  })
  // f1, f3, f2, f4: each bolt across from the one before.
  return [...inward.map((p, i) => foot(p.id, i % 2 === 0)), ...inward.map((p, i) => foot(p.id, i % 2 === 1))]
}
