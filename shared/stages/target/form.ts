import { targetsWords, typingWords } from '../../wording/en'
import type { FootPlane } from '../../../core/coupling/feet'
import { EXPANSION, type Material } from '../../../core/growth/materials'
import type { MachineRole } from '../../../core/plan/pairNames'
import type { FootRise, TargetGiven, TargetPayload } from '../../../core/stages/target/entries'
import { readTypedNumber, type TypedMeasure } from '../../../core/units/typedNumber'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../../core/units/unitSystem'
import { asking, faulty, typedMillimetres, unitOf, withUnit, type Remark } from '../../forms/typed'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'

/** What stands in the boxes of one foot pair. */
export interface RiseTexts {
  how: 'heat' | 'typed'
  material: Material | 'own'
  alpha: string
  height: string
  running: string
  rise: string
  side: string
}
export type RiseBox = 'alpha' | 'height' | 'running' | 'rise' | 'side' | 'x'
export const LINE_BOXES = ['offset.v', 'slope.v', 'offset.h', 'slope.h'] as const
export type LineBox = (typeof LINE_BOXES)[number]

/** What stands on the board of the cold target, as typed. */
export interface TargetTexts {
  units: UnitSystem
  way: TargetGiven['way']
  /** What everything stands at when it is cold. */
  cold: string
  /** By `pairKey`. */
  feet: Record<string, RiseTexts>
  /** Distance from the coupling, for pairs the register doesn't know; by `pairKey`. */
  distances: Record<string, string>
  line: Record<LineBox, string>
  source: string
}

/** A foot pair of either machine that may grow; `x` null while nobody has taped it. Millimetres. */
export interface GrowingPair {
  readonly machine: MachineRole
  readonly id: string
  readonly x: number | null
}
export const pairKey = (pair: Pick<GrowingPair, 'machine' | 'id'>): string => `${pair.machine}.${pair.id}`

/** Both machines' pairs, driven machine first, as a side view shows them; a machine without feet in the register gets two. */
export const growingPairs = (
  feet: Readonly<Record<MachineRole, readonly FootPlane[]>>,
): readonly GrowingPair[] => {
  const stationary =
    feet.stationary.length >= 2
      ? feet.stationary.map((f): GrowingPair => ({ machine: 'stationary', id: f.id, x: f.x }))
      : (['outboard', 'inboard'] as const).map((id): GrowingPair => ({
          machine: 'stationary',
          id,
          x: feet.stationary.find((f) => f.id === id)?.x ?? null,
        }))
  return [
    ...stationary.sort((a, b) => (a.x ?? 0) - (b.x ?? 0)),
    ...feet.movable.map((f): GrowingPair => ({ machine: 'movable', id: f.id, x: f.x })),
  ]
}

export const blankRise = (): RiseTexts => ({
  how: 'heat',
  material: 'cast-iron',
  alpha: '',
  height: '',
  running: '',
  rise: '',
  side: '',
})

/** An ordinary bay: 20 degrees C. */
const ORDINARY: Readonly<Record<UnitSystem, string>> = { inch: '68', metric: '20' }

export const blankTarget = (units: UnitSystem, pairs: readonly GrowingPair[]): TargetTexts => ({
  units,
  way: 'growth',
  cold: ORDINARY[units],
  feet: Object.fromEntries(pairs.map((p) => [pairKey(p), blankRise()])),
  distances: {},
  line: Object.fromEntries(LINE_BOXES.map((b) => [b, ''])) as TargetTexts['line'],
  source: '',
})

/** A figure of a payload as a person would type it in these units. */
const shown = (value: number, measured: Measured, was: UnitSystem, now: UnitSystem): string =>
  String(Number(fromCore(toCore(value, measured, was), measured, now).toPrecision(6)))

/** The boxes that say what a target says: for going on from the one in force. */
export const textsOfTarget = (
  payload: TargetPayload,
  units: UnitSystem,
  pairs: readonly GrowingPair[],
): TargetTexts => {
  const texts = blankTarget(units, pairs)
  const { given, units: was } = payload
  const as = (value: number, measured: Measured) => shown(value, measured, was, units)
  texts.way = given.way
  texts.source = payload.source
  if (given.way === 'line') {
    const { offset, slope } = given.line
    texts.line = {
      'offset.v': as(offset.v, 'displacement'),
      'offset.h': as(offset.h, 'displacement'),
      'slope.v': as(slope.v, 'slope'),
      'slope.h': as(slope.h, 'slope'),
    }
  }
  if (given.way === 'growth')
    for (const { machine, feet } of given.machines)
      for (const f of feet) {
        const key = pairKey({ machine, id: f.pair })
        if (f.heat) texts.cold = as(f.heat.cold, 'temperature')
        if (pairs.some((p) => pairKey(p) === key && p.x === null))
          texts.distances[key] = as(Math.abs(f.x), 'distance')
        texts.feet[key] = {
          how: f.heat ? 'heat' : 'typed',
          material: f.heat?.material ?? (f.heat ? 'own' : 'cast-iron'),
          alpha: f.heat?.alpha ? String(f.heat.alpha * 1e6) : '',
          height: f.heat ? as(f.heat.height, 'distance') : '',
          running: f.heat ? as(f.heat.running, 'temperature') : '',
          rise: f.rise === null ? '' : as(f.rise, 'displacement'),
          side: f.side === 0 ? '' : as(f.side, 'displacement'),
        }
      }
  return texts
}

/** The same texts meaning the same in other units. */
export const nameTargetUnits = (texts: TargetTexts, was: UnitSystem): void => {
  const now: UnitSystem = was === 'inch' ? 'metric' : 'inch'
  const anew = (text: string, measured: Measured) => {
    const read = readTypedNumber(text, 'plain', was)
    return read.ok ? shown(read.value, measured, was, now) : text
  }
  texts.cold = anew(texts.cold, 'temperature')
  for (const rise of Object.values(texts.feet)) {
    rise.running = anew(rise.running, 'temperature')
    rise.height = withUnit(rise.height, unitOf('distance', was))
    rise.rise = withUnit(rise.rise, unitOf('displacement', was))
    rise.side = withUnit(rise.side, unitOf('displacement', was))
  }
  for (const key of Object.keys(texts.distances))
    texts.distances[key] = withUnit(texts.distances[key] ?? '', unitOf('distance', was))
  for (const plane of ['v', 'h'] as const) {
    texts.line[`offset.${plane}`] = withUnit(texts.line[`offset.${plane}`], unitOf('displacement', was))
    texts.line[`slope.${plane}`] = anew(texts.line[`slope.${plane}`], 'slope')
  }
}

/** How far from the coupling a pair stands, as it was taped on the board: negative on the driven machine's side. Millimetres; null where nothing usable is typed. */
export const tapedPlace = (texts: TargetTexts, pair: GrowingPair, units: UnitSystem): number | null => {
  const taped = typedMillimetres(texts.distances[pairKey(pair)] ?? '', 'distance', units)
  return taped === null || taped <= 0 ? null : pair.machine === 'stationary' ? -taped : taped
}

/** Degrees C that no machine's feet reach in service; a slipped digit or the wrong scale. */
const TOO_HOT = 150
/** More growth than a large hot machine makes. */
const MUCH_GROWTH = 2.5

export interface TargetRead {
  /** By `pairKey` and box, `cold`, or the line's box. */
  readonly remarks: Readonly<Record<string, Remark>>
  /** What is odd and asked once before it is logged. */
  readonly questions: readonly string[]
  /** Machines nothing was given for: they are taken to stay as they are. */
  readonly still: readonly MachineRole[]
  readonly payload: TargetPayload | null
}

/** Reads the board of the cold target. Pairs in the order of `growingPairs`. */
export const readTarget = (
  texts: TargetTexts,
  pairs: readonly GrowingPair[],
  telling: Telling,
): TargetRead => {
  const { words, units } = telling
  const w = targetsWords(words).form
  const remarks: Record<string, Remark> = {}
  const questions: string[] = []
  /** The number of a box; null where it is empty or can't be read, which is said. */
  const number = (at: string, text: string, measure: TypedMeasure, above = false): number | null => {
    const read = readTypedNumber(text, measure, units)
    if (!read.ok) {
      if (read.fault !== 'empty') remarks[at] = faulty(typingWords(words).faults[read.fault])
      return null
    }
    if (above && read.value <= 0) {
      remarks[at] = faulty(w.aboveZero)
      return null
    }
    return read.value
  }
  const payloadOf = (given: TargetGiven): TargetPayload => ({
    units,
    given,
    source: texts.source.trim(),
    learned: null,
  })
  if (texts.way === 'none') return { remarks, questions, still: [], payload: payloadOf({ way: 'none' }) }
  if (texts.way === 'line') {
    const values = LINE_BOXES.map((box) =>
      number(box, texts.line[box], box.startsWith('offset') ? 'displacement' : 'plain'),
    )
    const [ov, sv, oh, sh] = values
    const begun = LINE_BOXES.some((box) => texts.line[box].trim() !== '')
    // What a sheet doesn't mention is nothing, once something of it stands there.
    const whole = begun && Object.keys(remarks).length === 0
    return {
      remarks,
      questions,
      still: [],
      payload: whole
        ? payloadOf({
            way: 'line',
            line: { offset: { v: ov ?? 0, h: oh ?? 0 }, slope: { v: sv ?? 0, h: sh ?? 0 } },
          })
        : null,
    }
  }
  const cold = number('cold', texts.cold, 'plain')
  const missing = (at: string) => {
    remarks[at] ??= asking(w.missing)
  }
  let whole = true
  const footOf = (pair: GrowingPair): FootRise | null => {
    const key = pairKey(pair)
    const own = texts.feet[key] ?? blankRise()
    const at = (box: RiseBox) => `${key}.${box}`
    const taped = pair.x === null ? number(at('x'), texts.distances[key] ?? '', 'distance', true) : null
    if (pair.x === null && taped === null) missing(at('x'))
    const x =
      pair.x !== null
        ? Number(fromCore(pair.x, 'distance', units).toPrecision(12))
        : taped === null
          ? null
          : pair.machine === 'stationary'
            ? -taped
            : taped
    const side = number(at('side'), own.side, 'displacement') ?? 0
    if (own.how === 'typed') {
      const rise = number(at('rise'), own.rise, 'displacement')
      if (rise === null) missing(at('rise'))
      return rise === null || x === null ? null : { pair: pair.id, x, heat: null, rise, side }
    }
    const height = number(at('height'), own.height, 'distance', true)
    const running = number(at('running'), own.running, 'plain')
    const alpha = own.material === 'own' ? number(at('alpha'), own.alpha, 'plain', true) : null
    if (height === null) missing(at('height'))
    if (running === null) missing(at('running'))
    if (cold === null) missing('cold')
    if (own.material === 'own' && alpha === null) missing(at('alpha'))
    if (height === null || running === null || cold === null || x === null) return null
    if (own.material === 'own' && alpha === null) return null
    const material = own.material === 'own' ? null : own.material
    const expansion = alpha === null ? EXPANSION[material ?? 'steel'] : alpha * 1e-6
    const heat = (t: number) => toCore(t, 'temperature', units)
    const rise = expansion * toCore(height, 'distance', units) * (heat(running) - heat(cold))
    if (heat(running) > TOO_HOT) questions.push(w.hot(`${String(running)} ${units === 'inch' ? '°F' : '°C'}`))
    else if (running < cold) questions.push(w.colder)
    else if (rise > MUCH_GROWTH) questions.push(w.large(figure(rise, 'displacement', units, { unit: true })))
    return {
      pair: pair.id,
      x,
      heat: { material, alpha: alpha === null ? null : alpha * 1e-6, height, cold, running },
      rise: null,
      side,
    }
  }
  const begun = (pair: GrowingPair): boolean => {
    const own = texts.feet[pairKey(pair)]
    return own !== undefined && [own.height, own.running, own.rise, own.side].some((t) => t.trim() !== '')
  }
  const machines: { machine: MachineRole; feet: FootRise[] }[] = []
  const still: MachineRole[] = []
  for (const machine of ['stationary', 'movable'] as const) {
    const ours = pairs.filter((p) => p.machine === machine)
    if (!ours.some(begun)) {
      still.push(machine)
      continue
    }
    const feet = ours.map(footOf)
    if (feet.some((f) => f === null)) whole = false
    const known = feet.filter((f) => f !== null)
    known.forEach((f, i) => {
      if (known.slice(0, i).some((o) => Math.abs(o.x - f.x) < 1e-9)) {
        remarks[`${pairKey({ machine, id: f.pair })}.x`] = faulty(w.notOnOne)
        whole = false
      }
    })
    machines.push({ machine, feet: known })
  }
  const faults = Object.values(remarks).some((r) => r.fault)
  return {
    remarks,
    questions: [...new Set(questions)],
    still,
    payload: machines.length > 0 && whole && !faults ? payloadOf({ way: 'growth', machines }) : null,
  }
}

const COPIED = ['height', 'running', 'rise', 'side', 'alpha'] as const

/** Fills the empty boxes of a machine's pairs like those of the first pair somebody typed into. */
export const sameAtBothEnds = (
  texts: TargetTexts,
  pairs: readonly GrowingPair[],
  machine: MachineRole,
): void => {
  const ours = pairs.filter((p) => p.machine === machine).map((p) => texts.feet[pairKey(p)] ?? blankRise())
  const like = ours.find((own) => COPIED.some((box) => own[box].trim() !== ''))
  if (!like) return
  for (const own of ours) {
    if (COPIED.every((box) => own[box].trim() === '')) own.material = like.material
    for (const box of COPIED) if (own[box].trim() === '') own[box] = like[box]
  }
}
