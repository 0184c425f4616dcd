import { BELT_STAGES, type BeltStageId } from '../../jobs/belt'
import type { EntryBody } from '../../logbook/entry'
import { DRIVE_PLACES } from '../../stages/inspect/entries'
import { SAFETY_POINTS } from '../../stages/makeSafe/entries'
import type { DriveAct } from './driveActs'
import { settable, type DriveBench } from './driveBench'
import { endsFromEdge, freshDrive } from './driveState'
import { edgeNow, tiltMarks } from './driveSeen'
import { fromCore } from '../../units/unitSystem'
import { driveAfter } from './doDrive'

/** Belts hang loose before the hands come in: the screws are back by so many turns. */
const BACK = 4

/** What hands did before: bolts eased, the motor brought in, the belts off or laid on. */
export const openingDriveActs = (bench: DriveBench, from: BeltStageId): readonly DriveAct[] => {
  const order = BELT_STAGES.map((s) => s.id)
  const begun = (stage: BeltStageId) => order.indexOf(stage) < order.indexOf(from)
  if (!begun('slack-off')) return []
  const back = (['sheaveEnd', 'farEnd'] as const).map((end) => ({ act: 'screw', end, turns: -BACK }) as const)
  const slack: readonly DriveAct[] = [{ act: 'base', tight: false }, ...back, { act: 'bump' }]
  if (bench.setting.belts === 'new') return slack
  // Off to inspect and line up; on again, the same ones, where that was done before.
  const off: readonly DriveAct[] = [...slack, { act: 'belts', on: false }]
  return begun('fit') ? [...off, { act: 'belts', on: true }] : off
}

/** The line as a careful hand reads it, for a bench that is handed over lined up. */
const lineBody = (bench: DriveBench): EntryBody => {
  const { units } = bench.setting.machine
  const now = driveAfter(bench, openingDriveActs(bench, 'line-up'))
  const laid = { edgeOn: 'driven', edgeSide: 'outer' } as const
  const own = (mm: number) => Number(fromCore(mm, 'distance', units).toFixed(units === 'inch' ? 3 : 2))
  const shows = edgeNow(bench, now, laid)
  const shifted = (way: 'up' | 'down') => own(edgeNow(bench, now, laid, way).middle)
  return {
    kind: 'sheaves-read',
    payload: {
      ...laid,
      units,
      p1: own(shows.other.near),
      p2: own(shows.other.far),
      w: own(2 * bench.geometry.radius.motor),
      reference: shows.rocks
        ? {
            r1: own(shows.reference.far),
            r2: own(shows.reference.near),
            wR: own(2 * bench.geometry.radius.driven),
          }
        : null,
      tilt: { g12: shifted('up'), g6: shifted('down'), h: own(tiltMarks(bench)) },
      by: 'edge',
    },
  }
}

/** What was done before the hands come in: the entries of every stage before `from`, honest ones, in the order of the work. */
export const openingDriveEntries = (bench: DriveBench, from: BeltStageId): readonly EntryBody[] => {
  const { machine } = bench.setting
  const order = BELT_STAGES.map((s) => s.id)
  const before = (stage: BeltStageId) => order.indexOf(stage) < order.indexOf(from)
  const bodies: EntryBody[] = [
    { kind: 'job-opened', payload: { reason: 'planned', rpm: machine.rpm, customer: '', note: '' } },
  ]
  if (before('make-safe'))
    for (const point of SAFETY_POINTS)
      bodies.push({ kind: 'safety-confirmed', payload: { point, permit: '' } })
  if (before('slack-off'))
    bodies.push({
      kind: 'slacked-off',
      payload: { belts: bench.setting.belts === 'new' ? 'loose' : 'off', words: '' },
    })
  if (before('inspect')) {
    bodies.push({
      kind: 'drive-looked',
      payload: { places: DRIVE_PLACES, found: 'fine', words: '', photographs: [] },
    })
    const place = settable(machine)
    const build = place && machine.sheaves[place].build
    if (place && build?.kind === 'variable')
      bodies.push({ kind: 'setting-read', payload: { place, turns: build.turnsOpen, words: '' } })
  }
  // Who comes in at the line squares the motor, or passes it over: what a rule tells is part of the lesson.
  if (before('line-up')) {
    const ends = endsFromEdge(bench, freshDrive(bench))
    const own = (mm: number) =>
      Number(fromCore(mm, 'distance', machine.units).toFixed(machine.units === 'inch' ? 2 : 1))
    bodies.push({
      kind: 'motor-squared',
      payload: {
        units: machine.units,
        sheaveEnd: own(ends.sheaveEnd),
        farEnd: own(ends.farEnd),
        edge: 'driven-side',
        words: '',
      },
    })
  }
  if (before('line-up')) bodies.push(lineBody(bench))
  if (before('fit'))
    bodies.push({
      kind: 'belts-fitted',
      payload: {
        belts: bench.setting.belts === 'new' ? 'new' : 'same',
        units: machine.units,
        length: null,
        matched: bench.setting.belts === 'new' ? true : null,
        words: '',
      },
    })
  return bodies
}
