import { acrossFace, upAndDown } from '../../../core/belt/facePlaces'
import { setUpWords, typingWords } from '../../wording/en'
import type { BeltEntries } from '../../../core/stages/lineUp/entries'
import { otherSheave, type SheavePlace } from '../../../core/register/beltMachine'
import type { BeltMachine } from '../../../core/register/machine'
import { fromCore, toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { asTape, asking, faulty, typedMillimetres, unitOf, withUnit, type Remark } from '../../forms/typed'
import { distanceSlip } from '../../../core/setup/distanceSlip'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'

export const LINE_BOXES = ['p1', 'p2', 'w', 'r1', 'r2', 'wR', 'g12', 'g6', 'h'] as const
export type LineBox = (typeof LINE_BOXES)[number]

export const CONTACTS = ['referenceFar', 'referenceNear', 'otherNear', 'otherFar'] as const
export type Contact = (typeof CONTACTS)[number]
/** Null while nobody has looked. */
export type Touch = 'touch' | 'gap' | null

/** The gaps that are read again with both sheaves half a turn on. */
export const HALF_BOXES = ['p1h', 'p2h', 'g12h', 'g6h'] as const
export type HalfBox = (typeof HALF_BOXES)[number]

/** What a job asks of a line besides the gaps. */
export interface LineMore {
  by: 'edge' | 'string'
  /** Which groove a belt runs in on each, counted from the faces under the edge. */
  grooves: Record<SheavePlace, number>
  /** The sheaves were turned half a turn and read again. */
  halfTurned: boolean
  half: Record<HalfBox, string>
}
export const noMore = (): LineMore => ({
  by: 'edge',
  grooves: { motor: 1, driven: 1 },
  halfTurned: false,
  half: { p1h: '', p2h: '', g12h: '', g6h: '' },
})

/** What stands on the line-up board, as typed and tapped. */
export interface LineTexts {
  units: UnitSystem
  edgeOn: SheavePlace
  edgeSide: 'outer' | 'inner'
  contacts: Record<Contact, Touch>
  boxes: Record<LineBox, string>
  /** Missing on the board of a sum. */
  more?: LineMore
}

/** The sheave with the larger face carries the edge: a gap error reaches the offset less. */
export const edgeBelongsOn = (machine: BeltMachine): SheavePlace =>
  machine.sheaves.motor.faceWidth * machine.sheaves.motor.pitchDiameter >
  machine.sheaves.driven.faceWidth * machine.sheaves.driven.pitchDiameter
    ? 'motor'
    : 'driven'

/** Whether anybody has tapped a rim since the board was blank. */
export const boardBegun = (texts: LineTexts): boolean => CONTACTS.some((c) => texts.contacts[c] !== null)

/** Whether the edge rocks on the sheave it lies on. */
const rocks = ({ contacts: c }: LineTexts): boolean => c.referenceFar === 'gap' || c.referenceNear === 'gap'

/** Where a feeler goes, in the order of the work: one box a rim that stands off, and the distances between. */
export const gapBoxes = (texts: LineTexts): readonly LineBox[] => {
  const { contacts: c } = texts
  const at = (contact: Contact, box: LineBox): readonly LineBox[] => (c[contact] === 'gap' ? [box] : [])
  return [
    ...at('otherFar', 'p2'),
    ...at('otherNear', 'p1'),
    'w',
    ...at('referenceNear', 'r2'),
    ...at('referenceFar', 'r1'),
    ...(rocks(texts) ? (['wR'] as const) : []),
  ]
}

/** The edge shifted up and down the face, and how far. */
export const TILT_BOXES = ['g12', 'g6', 'h'] as const satisfies readonly LineBox[]

/** The gaps to read again after half a turn: those of the other sheave, and the tilt where it was begun. */
export const halfBoxes = (texts: LineTexts): readonly HalfBox[] => {
  if (!texts.more?.halfTurned) return []
  const tilt = texts.boxes.g12.trim() !== '' || texts.boxes.g6.trim() !== ''
  return tilt ? HALF_BOXES : ['p1h', 'p2h']
}

/** Whether grooves are to be chosen between: the register says how far apart they stand on both. */
export const choosesGrooves = ({ sheaves: { motor, driven } }: BeltMachine): boolean =>
  motor.grooves > 1 &&
  driven.grooves > 1 &&
  motor.groovePitch !== undefined &&
  driven.groovePitch !== undefined

/** The box that Enter leads to; null when nothing behind this one is missing. */
export const boxAfter = (
  box: LineBox | HalfBox,
  texts: LineTexts,
  missing: readonly (LineBox | HalfBox)[],
): LineBox | HalfBox | null => {
  const order: readonly (LineBox | HalfBox)[] = [...gapBoxes(texts), ...TILT_BOXES, ...halfBoxes(texts)]
  return order.slice(order.indexOf(box) + 1).find((b) => missing.includes(b)) ?? null
}

/** What a tap makes of a rim: touch, then gap, then not looked at. */
export const tapped = (now: Touch): Touch => (now === null ? 'touch' : now === 'touch' ? 'gap' : null)

/** An empty board: nothing looked at yet; distances across the faces from the register. */
export const blankLine = (machine: BeltMachine, units: UnitSystem): LineTexts => {
  const edgeOn = edgeBelongsOn(machine)
  const across = (place: SheavePlace) => asTape(acrossFace(machine, place), units)
  return {
    units,
    edgeOn,
    edgeSide: 'outer',
    contacts: { referenceFar: null, referenceNear: null, otherNear: null, otherFar: null },
    boxes: {
      p1: '',
      p2: '',
      w: roundTape(across(otherSheave(edgeOn))),
      r1: '',
      r2: '',
      wR: roundTape(across(edgeOn)),
      g12: '',
      g6: '',
      h: roundTape(asTape(upAndDown(machine), units)),
    },
    more: noMore(),
  }
}

/** A tape reads no tenths of a hair. */
const roundTape = (text: string): string => String(Number(Number(text).toPrecision(3)))

/** The same texts meaning the same in other units. */
export const nameLineUnits = (texts: LineTexts, was: UnitSystem): void => {
  for (const box of LINE_BOXES) texts.boxes[box] = withUnit(texts.boxes[box], unitOf('distance', was))
  const half = texts.more?.half
  if (half) for (const box of HALF_BOXES) half[box] = withUnit(half[box], unitOf('distance', was))
}

const grooveMoved = ({ grooves }: LineMore): boolean => grooves.motor > 1 || grooves.driven > 1

export interface LineRead {
  readonly remarks: Readonly<Partial<Record<LineBox | HalfBox, Remark>>>
  readonly missing: readonly (LineBox | HalfBox)[]
  /** Once all four rims were looked at. */
  readonly contacts: BeltEntries['contacts-checked'] | null
  readonly reading: BeltEntries['sheaves-read'] | null
}

/** Reads the board: contacts and gaps. A rim that touches is a gap of nothing; it needs no typing. */
export const readLineTexts = (texts: LineTexts, machine: BeltMachine, telling: Telling): LineRead => {
  const { units, words } = telling
  const { contacts: c } = texts
  const looked = CONTACTS.every((k) => c[k] !== null)
  const remarks: Partial<Record<LineBox | HalfBox, Remark>> = {}
  const missing: (LineBox | HalfBox)[] = []
  const mm = (box: LineBox) => typedMillimetres(texts.boxes[box], 'distance', units)
  const inUnits = (x: number) => Number(fromCore(x, 'distance', units).toPrecision(12))
  const gapAt = (box: LineBox, contact: Contact): number | null => {
    if (c[contact] === 'touch') return 0
    const value = mm(box)
    if (value === null) missing.push(box)
    else if (value < 0) {
      remarks[box] = faulty(typingWords(words).faults['not-a-number'])
      missing.push(box)
    }
    return value
  }
  const apart = (box: LineBox, place: SheavePlace): number | null => {
    const value = mm(box)
    if (value === null) missing.push(box)
    else if (value <= 0) {
      remarks[box] = faulty(setUpWords(words).aboveZero)
      missing.push(box)
    } else {
      const known = toCore(machine.sheaves[place].pitchDiameter, 'distance', machine.units)
      const slip = distanceSlip(value, known)
      if (slip === 'tenfold' || slip === 'feet-for-inches' || slip === 'unit')
        remarks[box] = asking(
          setUpWords(words).tenfold(
            figure(known, 'distance', units, { unit: true }),
            setUpWords(words).register,
          ),
        )
    }
    return value
  }
  const p1 = gapAt('p1', 'otherNear')
  const p2 = gapAt('p2', 'otherFar')
  const w = apart('w', otherSheave(texts.edgeOn))
  const rocking = rocks(texts)
  const r2 = rocking ? gapAt('r2', 'referenceNear') : 0
  const r1 = rocking ? gapAt('r1', 'referenceFar') : 0
  const wR = rocking ? apart('wR', texts.edgeOn) : 0
  const [g12, g6] = [mm('g12'), mm('g6')]
  const tiltBegun = g12 !== null || g6 !== null
  if (tiltBegun) {
    if (g12 === null) missing.push('g12')
    if (g6 === null) missing.push('g6')
  }
  const h = tiltBegun ? apart('h', texts.edgeOn) : 0
  const asked = halfBoxes(texts)
  const halfAt = (box: HalfBox): number => {
    const value = typedMillimetres(texts.more?.half[box] ?? '', 'distance', units)
    if (!asked.includes(box)) return 0
    if (value === null) missing.push(box)
    else if (value < 0 && (box === 'p1h' || box === 'p2h')) {
      remarks[box] = faulty(typingWords(words).belowZero)
      missing.push(box)
    }
    return value ?? 0
  }
  const [p1h, p2h, g12h, g6h] = HALF_BOXES.map((box) => inUnits(halfAt(box))) as [
    number,
    number,
    number,
    number,
  ]
  const lies = { edgeOn: texts.edgeOn, edgeSide: texts.edgeSide }
  const whole = looked && missing.length === 0
  return {
    remarks,
    missing: looked ? missing : [],
    contacts: looked
      ? {
          ...lies,
          reference: { far: c.referenceFar === 'touch', near: c.referenceNear === 'touch' },
          other: { near: c.otherNear === 'touch', far: c.otherFar === 'touch' },
        }
      : null,
    reading: whole
      ? {
          ...lies,
          units,
          p1: inUnits(p1 ?? 0),
          p2: inUnits(p2 ?? 0),
          w: inUnits(w ?? 0),
          reference: rocking ? { r1: inUnits(r1 ?? 0), r2: inUnits(r2 ?? 0), wR: inUnits(wR ?? 0) } : null,
          tilt: tiltBegun ? { g12: inUnits(g12 ?? 0), g6: inUnits(g6 ?? 0), h: inUnits(h ?? 0) } : null,
          ...(texts.more?.by === 'string' ? { by: 'string' as const } : {}),
          ...(texts.more && choosesGrooves(machine) && grooveMoved(texts.more)
            ? { grooves: { ...texts.more.grooves } }
            : {}),
          ...(asked.length > 0
            ? { halfTurn: { p1: p1h, p2: p2h, tilt: tiltBegun ? { g12: g12h, g6: g6h } : null } }
            : {}),
        }
      : null,
  }
}
