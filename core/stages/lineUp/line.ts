import { fourContact, type ContactDiagnosis } from '../../belt/fourContact'
import { driveAtCentre, type BeltDrive } from '../../belt/geometry'
import {
  fleetAngles,
  judgeSheaves,
  sheaveCorrections,
  sheaveErrors,
  type FleetAngles,
  type SheaveCorrections,
  type SheaveErrors,
  type SheaveLimits,
} from '../../belt/sheaveLine'
import { lineLimitsOf, type Ruled, type RuledLine } from '../../belt/beltLimits'
import type { Verdict } from '../../judge/judge'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { otherSheave, type BeltMachine, type Sheave, type SheavePlace } from '../../register/beltMachine'
import { toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'
import type { LineRound } from './alignment'

const DEGREE = Math.PI / 180

export interface JudgedLine {
  readonly name: 'offset' | 'turn' | 'tilt' | 'fleet.motor' | 'fleet.driven'
  readonly kind: 'distance' | 'angle'
  /** Millimetres or radians. */
  readonly value: number
  /** Null where no limit is known. */
  readonly limit: number | null
  /** Who says the limit; null where there is none. */
  readonly by: Pick<Ruled<number>, 'by' | 'source'> | null
  readonly verdict: Verdict | null
}

/** How the sheaves stand to each other, judged, with what cures it. Millimetres, radians. */
export interface LineReading {
  readonly errors: SheaveErrors
  readonly fleet: FleetAngles
  readonly limits: SheaveLimits
  readonly quantities: readonly JudgedLine[]
  readonly verdict: Verdict
  readonly corrections: SheaveCorrections
  /** Depth from the edge's face to the groove centre, on the sheave under the edge and on the other. */
  readonly depths: { readonly reference: Millimetres; readonly other: Millimetres }
  readonly drive: BeltDrive
  /** How far the other sheave's face wobbles at its rim; null where half a turn was not read. */
  readonly wobble: Millimetres | null
}

/** The drive as registered; null when its sheaves would touch. */
export const driveOf = remember((machine: BeltMachine): BeltDrive | null => {
  const mm = (x: number) => toCore(x, 'distance', machine.units)
  const [a, b] = [mm(machine.sheaves.motor.pitchDiameter), mm(machine.sheaves.driven.pitchDiameter)]
  const drive = driveAtCentre(Math.min(a, b), Math.max(a, b), mm(machine.centreDistance))
  return drive.ok ? drive.value : null
})

const limitsIn = ({ angle, tilt, offset }: RuledLine): SheaveLimits => ({
  angle: angle.value,
  tilt: tilt.value,
  offset: offset.value,
})

/** Gaps at the edge in core units; what a straight contact check says when all four rims touch. */
interface Gaps {
  readonly edgeOn: SheavePlace
  readonly edgeSide: 'outer' | 'inner'
  readonly p1: Millimetres
  readonly p2: Millimetres
  readonly w: Millimetres
  readonly reference: { readonly r1: Millimetres; readonly r2: Millimetres; readonly wR: Millimetres } | null
  readonly tilt: { readonly g12: Millimetres; readonly g6: Millimetres; readonly h: Millimetres } | null
  readonly grooves?: Readonly<Record<SheavePlace, number>> | undefined
  /** How far the faces wobble: half of what the gaps changed by over half a turn. */
  readonly wobble?: Millimetres | null
}

/** A tilt within this share of its limit is left alone: shimming it would only bring in error. */
const IDLE_TILT = 0.2

const worthCuring = (errors: SheaveErrors, limits: SheaveLimits): SheaveErrors =>
  errors.tilt !== null && Math.abs(errors.tilt) <= IDLE_TILT * limits.tilt ? { ...errors, tilt: 0 } : errors

/** From the face under the edge to the centre of its n-th groove, in the record's own units. */
export const grooveDepth = (
  { depthOuter, depthInner, groovePitch }: Sheave,
  edgeSide: 'outer' | 'inner',
  groove: number,
): number => (edgeSide === 'outer' ? depthOuter : depthInner) + (groove - 1) * (groovePitch ?? 0)

const readGaps = (machine: BeltMachine, drive: BeltDrive, gaps: Gaps): LineReading => {
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const depthOf = (place: SheavePlace) =>
    own(grooveDepth(machine.sheaves[place], gaps.edgeSide, gaps.grooves?.[place] ?? 1))
  const depths = { reference: depthOf(gaps.edgeOn), other: depthOf(otherSheave(gaps.edgeOn)) }
  const errors = sheaveErrors(
    {
      r1: gaps.reference?.r1 ?? 0,
      r2: gaps.reference?.r2 ?? 0,
      wR: gaps.reference?.wR ?? null,
      p1: gaps.p1,
      p2: gaps.p2,
      w: gaps.w,
      tilt: gaps.tilt,
      eR: depths.reference,
      eA: depths.other,
    },
    drive.centre,
  )
  const fleet = fleetAngles(errors, drive.span)
  const ruled = lineLimitsOf(machine, drive.span)
  const limits = limitsIn(ruled)
  const judged = judgeSheaves(errors, fleet, limits)
  const verdictOf = (name: 'fleet' | 'tilt' | 'offset') =>
    judged.quantities.find((q) => q.name === name)?.verdict ?? null
  const fleetOf = (place: SheavePlace) => (place === gaps.edgeOn ? fleet.reference : fleet.other)
  const fleetRow = (place: SheavePlace): JudgedLine => {
    const value = fleetOf(place)
    const worst = Math.abs(value) >= fleet.worst - 1e-12
    return {
      name: `fleet.${place}`,
      kind: 'angle',
      value,
      limit: limits.angle,
      by: ruled.angle,
      verdict: worst ? verdictOf('fleet') : Math.abs(value) <= 0.8 * limits.angle ? 'in' : 'edge',
    }
  }
  const { base } = machine
  return {
    errors,
    fleet,
    limits,
    verdict: judged.verdict,
    quantities: [
      {
        name: 'offset',
        kind: 'distance',
        value: errors.offset,
        limit: limits.offset,
        by: limits.offset === null ? null : ruled.offset,
        verdict: verdictOf('offset'),
      },
      { name: 'turn', kind: 'angle', value: errors.turn, limit: null, by: null, verdict: null },
      ...(errors.tilt === null
        ? []
        : ([
            {
              name: 'tilt',
              kind: 'angle',
              value: errors.tilt,
              limit: limits.tilt,
              by: ruled.tilt,
              verdict: verdictOf('tilt'),
            },
          ] as const)),
      fleetRow('motor'),
      fleetRow('driven'),
    ],
    corrections: sheaveCorrections(worthCuring(errors, limits), drive.centre, {
      footSpacing: own(base.footSpacing),
      sheaveToFeet: own(base.sheaveToFeet),
      shaftHeight: own(base.shaftHeight),
      screwPitch: base.screwPitch === null ? null : own(base.screwPitch),
      hubToShaftEnd: base.hubToShaftEnd === null ? null : own(base.hubToShaftEnd),
      lineAngle: base.lineAngle * DEGREE,
      side: gaps.edgeSide === 'outer' ? 1 : -1,
      motorSign: gaps.edgeOn === 'motor' ? -1 : 1,
    }),
    depths,
    drive,
    wobble: gaps.wobble ?? null,
  }
}

const inCore = (entry: LogEntry<'sheaves-read'>): Gaps => {
  const { payload: p } = entry
  const mm = (x: number, units: UnitSystem = p.units) => toCore(x, 'distance', units)
  const { halfTurn: half } = p
  const mean = (a: number, b: number | undefined) => mm(b === undefined ? a : (a + b) / 2)
  return {
    edgeOn: p.edgeOn,
    edgeSide: p.edgeSide,
    grooves: p.grooves,
    wobble: half ? mm(Math.abs(p.p2 - p.p1 - (half.p2 - half.p1)) / 2) : null,
    p1: mean(p.p1, half?.p1),
    p2: mean(p.p2, half?.p2),
    w: mm(p.w),
    reference: p.reference && { r1: mm(p.reference.r1), r2: mm(p.reference.r2), wR: mm(p.reference.wR) },
    tilt: p.tilt && {
      g12: mean(p.tilt.g12, half?.tilt?.g12),
      g6: mean(p.tilt.g6, half?.tilt?.g6),
      h: mm(p.tilt.h),
    },
  }
}

/** Offset, turn and tilt from gaps that were read; null when the registered sheaves would touch. */
export const readLine = remember(
  (entry: LogEntry<'sheaves-read'>, machine: BeltMachine): LineReading | null => {
    const drive = driveOf(machine)
    return drive && readGaps(machine, drive, inCore(entry))
  },
)

/** What the quick check says. */
export const diagnosisOf = (entry: LogEntry<'contacts-checked'>): ContactDiagnosis =>
  fourContact(entry.payload)

/**
 * The line that four touching rims amount to: no gap anywhere, so what is left is the difference of
 * the depths to the groove centres. Null while any rim stands off.
 */
export const lineOfContacts = remember(
  (entry: LogEntry<'contacts-checked'>, machine: BeltMachine): LineReading | null => {
    const drive = driveOf(machine)
    if (!drive || diagnosisOf(entry) !== 'in-line') return null
    const { edgeOn, edgeSide } = entry.payload
    const w = toCore(machine.sheaves[otherSheave(edgeOn)].pitchDiameter, 'distance', machine.units)
    return readGaps(machine, drive, { edgeOn, edgeSide, p1: 0, p2: 0, w, reference: null, tilt: null })
  },
)

/** What a round comes to: gaps that were read, else four contacts that touch. Null before either. */
export const lineOfRound = (round: LineRound, machine: BeltMachine): LineReading | null =>
  round.reading
    ? readLine(round.reading, machine)
    : round.contacts
      ? lineOfContacts(round.contacts, machine)
      : null
