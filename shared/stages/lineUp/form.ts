import type { BeltEntries } from '../../../core/stages/lineUp/entries'
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

/** What stands on the line-up board, as typed and tapped. */
export interface LineTexts {
  units: UnitSystem
  edgeOn: 'motor' | 'driven'
  edgeSide: 'outer' | 'inner'
  contacts: Record<Contact, Touch>
  boxes: Record<LineBox, string>
}

/** The sheave with the larger face carries the edge: a gap error reaches the offset less. */
export const edgeBelongsOn = (machine: BeltMachine): 'motor' | 'driven' =>
  machine.sheaves.motor.faceWidth * machine.sheaves.motor.pitchDiameter >
  machine.sheaves.driven.faceWidth * machine.sheaves.driven.pitchDiameter
    ? 'motor'
    : 'driven'

/** An empty board: nothing looked at yet; distances across the faces from the register. */
export const blankLine = (machine: BeltMachine, units: UnitSystem): LineTexts => {
  const edgeOn = edgeBelongsOn(machine)
  const across = (place: 'motor' | 'driven') =>
    asTape(toCore(machine.sheaves[place].pitchDiameter, 'distance', machine.units) * 0.95, units)
  const other = edgeOn === 'motor' ? 'driven' : 'motor'
  return {
    units,
    edgeOn,
    edgeSide: 'outer',
    contacts: { referenceFar: null, referenceNear: null, otherNear: null, otherFar: null },
    boxes: {
      p1: '',
      p2: '',
      w: roundTape(across(other)),
      r1: '',
      r2: '',
      wR: roundTape(across(edgeOn)),
      g12: '',
      g6: '',
      h: roundTape(across(edgeOn)),
    },
  }
}

/** A tape reads no tenths of a hair. */
const roundTape = (text: string): string => String(Number(Number(text).toPrecision(3)))

/** The same texts meaning the same in other units. */
export const nameLineUnits = (texts: LineTexts, was: UnitSystem): void => {
  for (const box of LINE_BOXES) texts.boxes[box] = withUnit(texts.boxes[box], unitOf('distance', was))
}

export interface LineRead {
  readonly remarks: Readonly<Partial<Record<LineBox, Remark>>>
  readonly missing: readonly LineBox[]
  /** Once all four rims were looked at. */
  readonly contacts: BeltEntries['contacts-checked'] | null
  readonly reading: BeltEntries['sheaves-read'] | null
}

/** Reads the board: contacts and gaps. A rim that touches is a gap of nothing; it needs no typing. */
export const readLineTexts = (texts: LineTexts, machine: BeltMachine, telling: Telling): LineRead => {
  const { units, words } = telling
  const { contacts: c } = texts
  const looked = CONTACTS.every((k) => c[k] !== null)
  const remarks: Partial<Record<LineBox, Remark>> = {}
  const missing: LineBox[] = []
  const mm = (box: LineBox) => typedMillimetres(texts.boxes[box], 'distance', units)
  const inUnits = (x: number) => Number(fromCore(x, 'distance', units).toPrecision(12))
  const gapAt = (box: LineBox, contact: Contact): number | null => {
    if (c[contact] === 'touch') return 0
    const value = mm(box)
    if (value === null) missing.push(box)
    else if (value < 0) {
      remarks[box] = faulty(words.typing.faults['not-a-number'])
      missing.push(box)
    }
    return value
  }
  const apart = (box: LineBox, place: 'motor' | 'driven'): number | null => {
    const value = mm(box)
    if (value === null) missing.push(box)
    else if (value <= 0) {
      remarks[box] = faulty(words.setUp.aboveZero)
      missing.push(box)
    } else {
      const known = toCore(machine.sheaves[place].pitchDiameter, 'distance', machine.units)
      const slip = distanceSlip(value, known)
      if (slip === 'tenfold' || slip === 'feet-for-inches' || slip === 'unit')
        remarks[box] = asking(
          words.setUp.tenfold(figure(known, 'distance', units, { unit: true }), words.setUp.register),
        )
    }
    return value
  }
  const other = texts.edgeOn === 'motor' ? 'driven' : 'motor'
  const p1 = gapAt('p1', 'otherNear')
  const p2 = gapAt('p2', 'otherFar')
  const w = apart('w', other)
  const rocks = c.referenceFar === 'gap' || c.referenceNear === 'gap'
  const r2 = rocks ? gapAt('r2', 'referenceNear') : 0
  const r1 = rocks ? gapAt('r1', 'referenceFar') : 0
  const wR = rocks ? apart('wR', texts.edgeOn) : 0
  const [g12, g6] = [mm('g12'), mm('g6')]
  const tiltBegun = g12 !== null || g6 !== null
  if (tiltBegun) {
    if (g12 === null) missing.push('g12')
    if (g6 === null) missing.push('g6')
  }
  const h = tiltBegun ? apart('h', texts.edgeOn) : 0
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
          reference: rocks ? { r1: inUnits(r1 ?? 0), r2: inUnits(r2 ?? 0), wR: inUnits(wR ?? 0) } : null,
          tilt: tiltBegun ? { g12: inUnits(g12 ?? 0), g6: inUnits(g6 ?? 0), h: inUnits(h ?? 0) } : null,
        }
      : null,
  }
}
