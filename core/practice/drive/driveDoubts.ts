import { beltJob, type BeltState } from '../../jobs/belt'
import type { LogEntry } from '../../logbook/entry'
import type { BeltMachine } from '../../register/beltMachine'
import { lineLimitsOf } from '../../belt/beltLimits'
import { diagnosisOf, driveOf } from '../../stages/lineUp/line'
import { SAME_SETTING } from '../../register/setSheaves'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { DriveFault } from '../faults'
import { settable, type DriveBench } from './driveBench'
import { edgeNow, gaugeNow, ringsNow, tiltMarks } from './driveSeen'
import { ageNow, lineNow, machineNow, tensionsNow, type DriveState } from './driveState'
import { standsOff } from './doDrive'
import { judgeSet } from './driveTruth'

/** What an edge, a gauge or the logbook of a drive already told, before anybody looked. */
export type DriveDoubtCode =
  | 'gap-misread'
  | 'edge-rocked'
  | 'numbers-unread'
  | 'tilt-unread'
  | 'wobble-unread'
  | 'line-out'
  | 'setting-untold'
  | 'base-stayed'
  | 'set-unmatched'
  | 'tension-out'
  | 'age-mistold'
  | 'force-misread'
  | 'slackened-since'
  | 'unread-since'

/** Something that was there to be seen at a step. */
export interface DriveDoubt {
  readonly code: DriveDoubtCode
  /** What it is about: two doubts of one code about one thing are the same. */
  readonly about: string
}

/** A blade more or less. */
const BLADE: Millimetres = 0.12
/** A needle read this far off, as a share. */
const NEEDLE = 0.1

/** The state a logbook of a drive folds to. */
export const driveStateOf = (machine: BeltMachine, entries: readonly LogEntry[]): BeltState =>
  beltJob(machine, entries).state

/** What was typed of the edge against what it showed as it was typed. */
export const edgeDoubts = (
  bench: DriveBench,
  now: DriveState,
  entry: LogEntry<'sheaves-read'> | LogEntry<'contacts-checked'>,
): readonly DriveDoubt[] => {
  const shows = edgeNow(bench, now, entry.payload)
  if (entry.kind === 'contacts-checked') {
    const { reference, other } = entry.payload
    const off = (touches: boolean, gap: Millimetres) => touches !== gap < BLADE
    if (shows.rocks && reference.far && reference.near) return [{ code: 'edge-rocked', about: entry.id }]
    return off(other.near, shows.other.near) || off(other.far, shows.other.far)
      ? [{ code: 'gap-misread', about: entry.id }]
      : []
  }
  const { units, p1, p2, reference, halfTurn, tilt } = entry.payload
  if (shows.rocks && reference === null) return [{ code: 'edge-rocked', about: entry.id }]
  const mm = (x: number) => toCore(x, 'distance', units)
  const shown =
    halfTurn === undefined ? [shows] : [shows, edgeNow(bench, { ...now, half: !now.half }, entry.payload)]
  const mean = (of: (s: typeof shows) => number) => shown.reduce((sum, s) => sum + of(s), 0) / shown.length
  const typed = (a: number, b: number | undefined) => mm(b === undefined ? a : (a + b) / 2)
  const pairs = [
    [typed(p1, halfTurn?.p1), mean((s) => s.other.near)],
    [typed(p2, halfTurn?.p2), mean((s) => s.other.far)],
    ...(reference
      ? [[mm(reference.r1), shows.reference.far] as const, [mm(reference.r2), shows.reference.near] as const]
      : []),
    // Where it was shifted otherwise than to the marks, the bench knows nothing of it.
    ...(tilt && halfTurn === undefined && Math.abs(mm(tilt.h) / tiltMarks(bench) - 1) < 0.05
      ? [
          [
            mm(tilt.g12 - tilt.g6),
            edgeNow(bench, now, entry.payload, 'up').middle -
              edgeNow(bench, now, entry.payload, 'down').middle,
          ] as const,
        ]
      : []),
  ] as const
  return pairs.some(([a = 0, b = 0]) => Math.abs(a - b) > BLADE + 0.02 * Math.abs(b))
    ? [{ code: 'gap-misread', about: entry.id }]
    : []
}

/** What was typed of the belts against what the gauge showed, and how old they were told to be. */
export const gaugeDoubts = (
  bench: DriveBench,
  now: DriveState,
  { id, payload }: LogEntry<'tension-read'>,
): readonly DriveDoubt[] => {
  const aged: readonly DriveDoubt[] =
    payload.age === ageNow(bench, now) ? [] : [{ code: 'age-mistold', about: id }]
  const { read, units } = payload
  // Another push or tap shows a little more or less.
  const share = NEEDLE + 3 * bench.spread.force
  const differs = (typed: number, shown: number | null) =>
    shown !== null && Math.abs(typed - shown) > share * shown + 1
  const off =
    read.by === 'force'
      ? read.forces.some((f, i) => differs(toCore(f, 'force', units), gaugeNow(bench, now, i)))
      : read.by === 'frequency' && read.hertz.some((f, i) => differs(f, ringsNow(bench, now, i)))
  return off ? [...aged, { code: 'force-misread', about: id }] : aged
}

/** What the logbook and the hands tell by now, of everything that is in force. */
export const driveDoubts = (bench: DriveBench, state: BeltState, now: DriveState): readonly DriveDoubt[] => {
  const found: DriveDoubt[] = []
  const say = (code: DriveDoubtCode, about: string) => void found.push({ code, about })
  const round = state.alignment[state.alignment.length - 1]
  const line = state.lines[state.lines.length - 1] ?? null
  const drive = driveOf(machineNow(bench, now))
  const truth = lineNow(bench, now)
  if (round?.contacts && !round.reading && diagnosisOf(round.contacts) !== 'in-line')
    say('numbers-unread', round.contacts.id)
  if (round?.reading && drive) {
    const limits = lineLimitsOf(bench.setting.machine, drive.span)
    if (round.reading.payload.tilt === null && Math.abs(truth.tilt) > limits.tilt.value)
      say('tilt-unread', round.reading.id)
    if (round.reading.payload.halfTurn === undefined && bench.wobble.by > limits.angle.value / 2)
      say('wobble-unread', round.reading.id)
  }
  if (line?.verdict === 'out') say('line-out', round?.reading?.id ?? round?.contacts?.id ?? 'line')
  const place = settable(bench.setting.machine)
  if (place) {
    const open = (machine: BeltMachine) => {
      const { build } = machine.sheaves[place]
      return build?.kind === 'variable' ? build.turnsOpen : 0
    }
    const differs = Math.abs(open(machineNow(bench, now)) - open(state.machine)) >= SAME_SETTING
    const handled = state.lines.some(Boolean) || state.tensions.some(Boolean)
    if (differs && handled) say('setting-untold', place)
  }
  const stuck = standsOff(now)
  if (stuck.length > 0) say('base-stayed', stuck.join())
  const tension = state.tensions[state.tensions.length - 1] ?? null
  if (tension?.unmatched) say('set-unmatched', tension.entry.id)
  else if (tension?.verdict === 'out') say('tension-out', tension.entry.id)
  if (tension && tension.verdict !== 'out' && now.beltsOn) {
    const really = judgeSet(bench, tensionsNow(bench, now), ageNow(bench, now))
    // What was read holds no longer: the belts bedded in, or the base went as it was drawn down.
    if (really === 'out') say('slackened-since', tension.entry.id)
  }
  if (state.recheck.facts.entry !== null && state.recheck.missing.length > 0)
    say('unread-since', state.recheck.facts.entry.id)
  return found
}

/** Which hidden fault a doubt comes from, where one does. */
export const driveFaultBehind = (bench: DriveBench, { code }: DriveDoubt): DriveFault | null => {
  const has = (...list: readonly DriveFault[]) => list.find((f) => bench.faults.has(f)) ?? null
  switch (code) {
    case 'numbers-unread':
    case 'line-out':
      return has('unequal-rims', 'turned-motor', 'tilted-motor', 'wobbling-sheave')
    case 'tilt-unread':
      return has('tilted-motor')
    case 'wobble-unread':
      return has('wobbling-sheave')
    case 'edge-rocked':
      return has('turned-motor', 'unequal-rims')
    case 'setting-untold':
      return has('changed-sheave')
    case 'base-stayed':
      return has('sticking-base')
    case 'set-unmatched':
      return has('mismatched-belt')
    case 'tension-out':
    case 'age-mistold':
    case 'slackened-since':
      return has('bedding-belts')
    default:
      return null
  }
}
