import { flangeTapeWords, setUpWords } from '../../wording/en'
import { distanceSlip } from '../../../core/setup/distanceSlip'
import type { FlangeMachine } from '../../../core/register/machine'
import type { FlangeTape, SetUpPayload } from '../../../core/stages/setUp/entries'
import { toCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { asTape, faulty, typedMillimetres, unitOf, withUnit, type Remark } from '../../forms/typed'
import type { Telling } from '../../wording/telling'
import { slipRemark } from './slip'

/** What stands in the boxes of a flange, as typed. */
export interface FlangeTexts {
  told: FlangeTape
  /** Of a round circle: its radius or its whole, as told. */
  circle: string
  /** Bolt to bolt through the middle, in each plane. */
  v: string
  h: string
  /** From the coupling centre up to the flange. */
  plane: string
}

/** A flange by tape, millimetres: across is the whole circle, however it was told. */
export interface FlangeTaped {
  readonly told: FlangeTape
  readonly across: { readonly v: Millimetres; readonly h: Millimetres }
  readonly plane: Millimetres
}

/** The flange as it was taped last, else as the register has it. Millimetres. */
const knownFlange = (machine: FlangeMachine, last: SetUpPayload | null): FlangeTaped => {
  const { across, plane } = last?.flange ?? machine.flange
  const far = (x: number) => toCore(x, 'distance', last?.flange ? last.units : machine.units)
  const [v, h] = [far(across.v), far(across.h)]
  return {
    told: last?.flange?.told ?? (v === h ? 'circle' : 'each-plane'),
    across: { v, h },
    plane: far(plane),
  }
}

/** Boxes filled from the last tape, else from the register. */
export const startFlange = (
  machine: FlangeMachine,
  last: SetUpPayload | null,
  units: UnitSystem,
): FlangeTexts => {
  const { told, across, plane } = knownFlange(machine, last)
  return {
    told,
    circle: asTape(told === 'radius' ? across.v / 2 : across.v, units),
    v: asTape(across.v, units),
    h: asTape(across.h, units),
    plane: asTape(plane, units),
  }
}

/** The boxes that are asked for, in the order they are taped. */
export const flangeBoxes = ({ told }: FlangeTexts): readonly (keyof FlangeTexts)[] =>
  told === 'each-plane' ? ['plane', 'v', 'h'] : ['plane', 'circle']

/** The same texts told another way: what one box said the others go on saying. */
export const toldFlange = (texts: FlangeTexts, told: FlangeTape, units: UnitSystem): FlangeTexts => {
  if (told === texts.told) return texts
  const typed = (text: string) => typedMillimetres(text, 'distance', units)
  const whole =
    texts.told === 'each-plane'
      ? typed(texts.v)
      : (typed(texts.circle) ?? NaN) * (texts.told === 'radius' ? 2 : 1)
  if (whole === null || Number.isNaN(whole)) return { ...texts, told }
  return told === 'each-plane'
    ? { ...texts, told, v: asTape(whole, units), h: asTape(whole, units) }
    : { ...texts, told, circle: asTape(told === 'radius' ? whole / 2 : whole, units) }
}

export const nameFlangeUnits = (texts: FlangeTexts, was: UnitSystem): FlangeTexts => {
  const far = (text: string) => withUnit(text, unitOf('distance', was))
  return { ...texts, circle: far(texts.circle), v: far(texts.v), h: far(texts.h), plane: far(texts.plane) }
}

export interface FlangeRead {
  readonly remarks: Readonly<Record<string, Remark>>
  readonly missing: readonly string[]
  readonly taped: FlangeTaped | null
  /** What can be read so far, for the drawing. */
  readonly plane: Millimetres | null
  readonly across: Millimetres | null
}

/** Reads the boxes of a flange against the register and the last job; names are `flange.plane` and so on. */
export const readFlange = (
  texts: FlangeTexts,
  machine: FlangeMachine,
  lastJob: SetUpPayload | null,
  telling: Telling,
): FlangeRead => {
  const { units, words } = telling
  const w = setUpWords(words)
  const remarks: Record<string, Remark> = {}
  const missing: string[] = []
  const registered = knownFlange(machine, null)
  const before = lastJob?.flange ? knownFlange(machine, lastJob) : null
  const half = texts.told === 'radius' ? 2 : 1
  const known = (from: FlangeTaped, box: keyof FlangeTexts): Millimetres =>
    box === 'plane'
      ? from.plane
      : box === 'h'
        ? from.across.h
        : box === 'v'
          ? from.across.v
          : from.across.v / half
  const read = Object.fromEntries(
    flangeBoxes(texts).map((box) => {
      const name = `flange.${box}`
      const mm = typedMillimetres(texts[box], 'distance', units)
      if (mm === null || mm <= 0) {
        missing.push(name)
        if (mm !== null) remarks[name] = faulty(w.aboveZero)
        return [box, null] as const
      }
      const slip = slipRemark(mm, known(registered, box), w.register, telling)
      remarks[name] =
        slip.text || !before || distanceSlip(mm, known(before, box)) === null
          ? slip
          : slipRemark(mm, known(before, box), w.lastJob, telling)
      return [box, mm] as const
    }),
  ) as Readonly<Partial<Record<keyof FlangeTexts, number | null>>>
  const whole = read.circle == null ? null : read.circle * half
  const [v, h] = texts.told === 'each-plane' ? [read.v ?? null, read.h ?? null] : [whole, whole]
  const plane = read.plane ?? null
  return {
    remarks,
    missing,
    plane,
    across: v,
    taped: v === null || h === null || plane === null ? null : { told: texts.told, across: { v, h }, plane },
  }
}

/** What a box is called, as it stands over it. */
export const flangeLabel = (box: string, told: FlangeTape, { words }: Pick<Telling, 'words'>): string => {
  const w = flangeTapeWords(words)
  switch (box) {
    case 'plane':
      return w.plane
    case 'v':
      return w.acrossV
    case 'h':
      return w.acrossH
    default:
      return told === 'radius' ? w.radius : w.circle
  }
}
