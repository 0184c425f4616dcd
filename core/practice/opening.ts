import type { CoupledStageId } from '../jobs/coupled'
import { COUPLED_STAGES } from '../jobs/coupled'
import type { EntryBody } from '../logbook/entry'
import { circlesOf, methodToCore, type MethodGiven } from '../methods/methods'
import { usualSetUp } from '../methods/usualSetUp'
import { checksFor } from '../stages/setUp/checks'
import { placesOf } from '../stages/look/looks'
import { SAFETY_POINTS } from '../stages/makeSafe/entries'
import { fromCore, type Millimetres } from '../units/unitSystem'
import type { BenchAct } from './acts'
import { BENCH_FEET, footPlace, type Bench } from './bench'
import { normalFor } from './chance'
import { footHeight, freshBench } from './benchState'
import { afterAct } from './doAct'
import { faceGapNow, rimStepNow } from './feelers'

/** Hours that a straightedge and feelers go round by. */
const QUARTERS = [0, 90, 180, 270] as const

const rounded = (mm: Millimetres, to: number) => Math.round(mm / to) * to

/** The dials as they stand on the bench before anybody set them up: where the register has them. Core units. */
const usualMount = (bench: Bench): MethodGiven | null => {
  const { usual, units } = bench.setting.machine
  const how = usualSetUp(usual, { sag: 0, turning: 'both' })
  return how && ({ method: how.method, given: methodToCore(how, units) } as MethodGiven)
}

/** It ran until a moment ago: stopped, locked out, guard off, coupling opened. */
const JUST_STOPPED: readonly BenchAct[] = [
  { act: 'couple', made: true },
  { act: 'guard', on: true },
  { act: 'lock', on: false },
  { act: 'run', minutes: 180 },
  { act: 'lock', on: true },
  { act: 'guard', on: false },
  { act: 'couple', made: false },
]

/** How the bench is left to whoever comes: the dials at hand, and a strained coupling still made up, as it ran. */
export const openingActs = (bench: Bench): readonly BenchAct[] => {
  const how = usualMount(bench)
  return [
    ...(bench.faults.has('still-warm') ? JUST_STOPPED : []),
    ...(how ? [{ act: 'mount', how } as const] : []),
    ...(bench.faults.has('strained-coupling') ? [{ act: 'couple', made: true } as const] : []),
  ]
}

/** How the bench is set up by somebody who did it well, or, where a fault says so, forgot the sag or the push test. */
const setUpBody = (bench: Bench): EntryBody | null => {
  const { machine, seed } = bench.setting
  const { units, usual } = machine
  const own = (mm: Millimetres) => fromCore(mm, 'displacement', units)
  const step = units === 'inch' ? 0.5 : 0.01
  const told = (hang: Millimetres, what: string) =>
    bench.faults.has('hanging-bar')
      ? 0
      : Math.max(0, rounded(own(hang + bench.spread.sag * normalFor(seed, `sag ${what}`)), step / 2))
  // Told as most gauges count; whoever sets it up presses the plunger.
  const how = usualSetUp(usual, { sag: told(bench.hang.rim, 'rim'), turning: 'both' })
  if (!how) return null
  const by = (value: number) => Object.fromEntries(circlesOf(how).map((c) => [c, value]))
  return {
    kind: 'set-up',
    payload: {
      units,
      how,
      told: { sag: 'hang', circle: 'diameter' },
      feet: (['movable', 'stationary'] as const).flatMap((role) =>
        machine.feet[role].map((f) => ({ machine: role, pair: f.id, x: f.x })),
      ),
      graduation: by(step),
      returned: by(0),
      why: '',
      checked: checksFor(machine, how.method, 1),
    },
  }
}

/** Rises as a careful hand reads them, one foot at a time. */
const risesBody = (bench: Bench): EntryBody => {
  const { machine } = bench.setting
  const fresh = freshBench(bench)
  const step = machine.units === 'inch' ? 0.5 : 0.01
  return {
    kind: 'rises-read',
    payload: {
      units: machine.units,
      rises: BENCH_FEET.map((foot) => {
        const { pair, side } = footPlace(foot)
        const loose = afterAct(bench, fresh, { act: 'bolt', foot, tight: false })
        const rise = footHeight(bench, loose, foot) - footHeight(bench, fresh, foot)
        return {
          machine: 'movable' as const,
          pair: machine.feet.movable[pair]?.id ?? '',
          side,
          rise: rounded(fromCore(rise, 'displacement', machine.units), step),
        }
      }),
      pipe: 'bolted',
      remark: '',
    },
  }
}

const hubsBody = (bench: Bench): EntryBody => {
  const { machine } = bench.setting
  const { units } = machine
  const fresh = freshBench(bench)
  const circle = machine.hubs?.movableDiameter ?? null
  const step = units === 'inch' ? 1 : 0.05
  const own = (mm: Millimetres) => rounded(fromCore(mm, 'displacement', units), step)
  return {
    kind: 'hubs-felt',
    payload: {
      units,
      steps: QUARTERS.map((clock) => ({ clock, value: own(rimStepNow(bench, fresh, clock)) })),
      gaps:
        circle === null
          ? []
          : QUARTERS.map((clock) => ({
              clock,
              value: own(faceGapNow(bench, fresh, clock, 2 * bench.hubs.movable.radius)),
            })),
      diameter: circle,
      hubs: null,
      coupled: false,
      drag: null,
      pushed: null,
      remark: '',
    },
  }
}

/**
 * What was done before the hands come in: the entries of every stage before `from`, honest ones, in the order of the
 * work. Level and target are left to whoever wants them.
 */
export const openingEntries = (bench: Bench, from: CoupledStageId): readonly EntryBody[] => {
  const { machine } = bench.setting
  const order = COUPLED_STAGES.map((s) => s.id)
  const before = (stage: CoupledStageId) => order.indexOf(stage) < order.indexOf(from)
  const bodies: EntryBody[] = [
    { kind: 'job-opened', payload: { reason: 'planned', rpm: machine.rpm, customer: '', note: '' } },
  ]
  if (before('make-safe'))
    for (const point of SAFETY_POINTS)
      bodies.push({ kind: 'safety-confirmed', payload: { point, permit: '' } })
  if (before('look'))
    bodies.push({
      kind: 'place-looked',
      payload: { places: placesOf(machine), found: 'fine', words: '', photographs: [] },
    })
  if (before('feet')) bodies.push(risesBody(bench))
  if (before('rough-in')) bodies.push(hubsBody(bench))
  if (before('set-up')) {
    const body = setUpBody(bench)
    if (body) bodies.push(body)
  }
  return bodies
}
