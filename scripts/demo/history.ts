import type { Knex } from 'knex'
import type { EntryBody } from '../../core/logbook/entry'
import type { BoltsPayload } from '../../core/stages/move/entries'
import type { CoupledFields } from '../../shared/register/coupledMachine'
import type { MachineFields } from '../../shared/register/machine'
import { writeBelts } from './beltHistory'
import { CoupledWriter } from './coupledWriter'
import { writeDrums } from './drumHistory'
import { writeGearsets } from './gearHistory'
import { writeLines } from './lineHistory'
import { writeFlanges } from './flangeHistory'
import { momentsBefore } from './moments'
import { demoId, MACHINES } from './works'

const machine = (tag: string): MachineFields => {
  const found = MACHINES.find((m) => m.tag === tag)
  if (!found) throw new Error(`The demo works has no machine ${tag}.`)
  return found
}
const coupled = (tag: string): CoupledFields => {
  const found = machine(tag)
  if (found.drive !== 'coupled') throw new Error(`${tag} has no coupling.`)
  return found
}

/** Past and open jobs of the demo works, dated back from `now`. */
export const writeHistory = async (knex: Knex, now: Date): Promise<void> => {
  const at = momentsBefore(now)
  const [day, night, lead] = [demoId('day'), demoId('night'), demoId('lead')]
  const line = (ov: number, oh: number, sv: number, sh: number) => ({
    offset: { v: ov, h: oh },
    slope: { v: sv, h: sh },
  })
  const on = (tag: string, name: string, author: string, start: Date, truth: ReturnType<typeof line>) =>
    new CoupledWriter(knex, coupled(tag), name, author, start, truth)

  const first = on('CP-11', 'CP-11 rebuilt', day, at(431, 6), line(14.2, -22.5, 0.62, -0.88))
  await first.open({
    reason: 'moved',
    rpm: 990,
    customer: '',
    note: 'Gear unit back from overhaul, motor refitted.',
  })
  await first.makeSafe('W-2107')
  await first.findShims()
  await first.look(['pads'], 'put-right', 'Base scraped clean at the two outboard feet.')
  await first.restIsFine()
  // A chase: each cure moved the fault to the other diagonal, until half of it was filled.
  await first.feelGaps({ f3: 14 })
  await first.readRises([13, 2.5, 15, 2])
  await first.fillFoot('f3', [10, 2])
  await first.readRises([1.5, 9, 2, 8], 'Burr filed off the pad at f2.')
  await first.fillFoot('f2', [5, 2])
  await first.readRises([6, 1, 5.5, 1.5])
  await first.fillFoot('f1', [2], [], 'Half of it: the fault was being chased.')
  await first.readRises([1.5, 1, 1.5, 1])
  await first.measure(3, 0.5)
  await first.move()
  await first.read()
  await first.read()
  await first.bump('W-2107')
  await first.prove(0.13)
  await first.close('Day-shift millwright', 'Base scraped clean at the two outboard feet.')

  const settled = on('CP-11', 'CP-11 after a season', day, at(338, 7), line(-4.7, 1.2, -0.12, 0.1))
  await settled.open({ reason: 'planned', rpm: 990, customer: '', note: 'After the first season.' })
  await settled.makeSafe('W-2198')
  await settled.readRises([1, 1, 0.5, 1])
  await settled.measure(3, 0.5)
  await settled.read()
  await settled.prove(0.13)
  await settled.close(
    'Day-shift millwright',
    'Settled since the rebuild. Outboard left foot sounds hollow.',
    'Kiln runs until spring. Watched by vibration until then.',
  )

  const spring = on('CP-11', 'CP-11 spring stop', lead, at(247, 6), line(-6.2, 3.4, -0.2, -0.3))
  await spring.open({ reason: 'planned', rpm: 990, customer: '', note: 'Spring stop.' })
  await spring.makeSafe('W-2371')
  await spring.readRises([1, 1.5, 1, 1])
  await spring.measure(3, 0.5)
  await spring.move()
  await spring.read()
  await spring.read()
  await spring.prove(0.13)
  await spring.close('Maintenance lead', 'Shift on tightening at outboard left, washer changed.')

  const second = on('CP-11', 'CP-11 vibration', night, at(152, 14), line(-6.8, 5.1, -0.36, 0.22))
  await second.open({
    reason: 'vibration',
    rpm: 990,
    customer: '',
    note: 'Rumble at the coupling end since the liner change.',
  })
  await second.makeSafe('W-2511')
  await second.readRises([1, 1.5, 0.5, 1])
  await second.measure(3, 0.5)
  await second.write(HOT_GEAR_UNIT)
  await second.write(boltsOf('inch', '3/4', 'grade-5', 'oiled'))
  await second.move()
  await second.read()
  // Power came back for a bump test between the two sets: the whole lockout is confirmed again.
  await second.write({ kind: 'power-restored', payload: { why: 'Bump test for rotation after rewiring.' } })
  await second.makeSafe('W-2511')
  await second.read()
  await second.prove(0.13)
  // The gear unit ran hotter than the survey said: the hot check gave another target.
  await second.runHot(HOT_RUN, line(-7.2, 0, -0.06, 0), 'W-2511')
  await second.read()
  await second.read()
  await second.takeNewTarget()
  await second.prove(0.13)
  await second.close(
    'Night-shift millwright',
    'Hold-down bolts were not all tight when found.',
    '',
    undefined,
    {
      what: 'regular',
      days: 156,
    },
  )

  const tight = on('KY-09', 'KY-09 bolt-bound', day, at(64, 7), line(3.1, -9.4, 0.12, -0.55))
  await tight.open({ reason: 'wear', rpm: 1460, customer: '', note: 'Jaw insert worn on one side.' })
  await tight.makeSafe()
  await tight.readRises([0.5, 1, 1, 0.5])
  await tight.measure(1.5, 0.5)
  await tight.move()
  await tight.read()
  await tight.read()
  await tight.prove(0.11)
  await tight.close(
    'Day-shift millwright',
    'Outboard feet can go no further toward 3.',
    'Holes to be opened at the next kiln stop. Maintenance lead agrees to run until then.',
    undefined,
    { what: 'other', days: 63, words: 'Holes opened, aligned anew' },
  )

  const doubtful = on('KY-09', 'KY-09 open', demoId('apprentice'), at(1, 8), line(2.4, -8.8, 0.1, -0.5))
  await doubtful.open({
    reason: 'planned',
    rpm: 1460,
    customer: '',
    note: 'Holes opened during the kiln stop.',
  })
  await doubtful.makeSafe('W-2790')
  await doubtful.restIsFine()
  await doubtful.feelGaps({})
  await doubtful.readRises([1, 0.5, 1, 1])
  await doubtful.setUp(1.5, 0.5)
  await doubtful.read()
  await doubtful.read({ circle: 'face', clock: 270, by: 3 })

  const planning = on('CP-14', 'CP-14 open', night, at(0, 2), line(-0.31, 0.18, -0.052, 0.034))
  await planning.open({
    reason: 'planned',
    rpm: 1480,
    customer: '',
    note: 'Yearly check before the winter run.',
  })
  await planning.makeSafe('W-2794')
  await planning.readRises([0.02, 0.03, 0.02, 0.02])
  await planning.measure(0.06, 0.01)
  await planning.write(boltsOf('metric', 'M20', '8.8', 'dry'))

  // Both couplings of the pan mill were kept by themselves before the line was: one is being looked at, at the other the heads go on next.
  const looking = on('CP-40M', 'CP-40M open', demoId('apprentice'), at(2, 9), line(-0.21, 0.3, -0.02, 0.04))
  await looking.open({ reason: 'wear', rpm: 148, customer: '', note: 'Grease thrown out at the guard.' })
  await looking.makeSafe('W-2788')
  await looking.findShims()
  await looking.look(['bolts', 'jacking'], 'fine')
  await looking.look(['pads'], 'put-right', 'Paint scraped off under the outboard feet.')

  const relined = on('CP-40M', 'CP-40M relined', lead, at(23, 6), line(0.62, -0.44, 0.05, -0.03))
  await relined.open({ reason: 'moved', rpm: 148, customer: '', note: 'Pan relined, gear unit lifted off.' })
  await relined.makeSafe('W-2741')
  await relined.readRises([0.02, 0.03, 0.02, 0.03])
  await relined.measure(0, 0.01)
  await relined.write(WARM_GEAR_UNIT)
  await relined.move()
  await relined.read()
  await relined.read()
  await relined.prove(4)
  await relined.close('Maintenance lead', 'Mill runs from Monday: hot check asked for.', '', undefined, {
    what: 'hot-check',
    days: 14,
  })

  // Read open it was in band; made up, bushes of the wrong length bent the shafts.
  const gripped = on('CP-40G', 'CP-40 strained', night, at(118, 7), line(0.32, -0.21, 0.04, -0.03))
  await gripped.open({ reason: 'wear', rpm: 1475, customer: '', note: 'Bushes worn, new set fitted.' })
  await gripped.makeSafe('W-2602')
  await gripped.readRises([0.02, 0.03, 0.02, 0.02])
  await gripped.measure(0, 0.01)
  await gripped.move()
  await gripped.read()
  await gripped.read()
  await gripped.makeUp(4, line(0.14, -0.05, 0.03, 0))
  await gripped.read()
  await gripped.openCoupling('New bushes stand out 2 mm too long and bind: cut to the maker’s length.')
  await gripped.makeUp(4)
  await gripped.read()
  await gripped.prove(4)
  await gripped.close(
    'Night-shift millwright',
    'Bushes of the last delivery are all too long.',
    '',
    undefined,
    {
      what: 'regular',
      days: 365,
    },
  )

  const mounting = on('CP-40G', 'CP-40 open', day, at(3, 7), line(0.14, -0.195, 0.0333, 0.0056))
  await mounting.open({ reason: 'planned', rpm: 1475, customer: '', note: 'New bushes.' })
  await mounting.makeSafe('W-2786')
  await mounting.restIsFine()
  await mounting.readRises([0.02, 0.03, 0.02, 0.03])
  await mounting.feelHubs(4)

  // Its maker asks for straightedge and feelers only: four places within the limit, and signed.
  const felt = on('PR-02', 'PR-02 new insert', day, at(203, 9), line(-21, 13, -1.6, 0.5))
  await felt.open({ reason: 'wear', rpm: 1470, customer: '', note: 'Jaw insert crumbled.' })
  await felt.makeSafe('W-2433')
  await felt.look(['spider'], 'put-right', 'Crumbled; new one in.')
  await felt.restIsFine()
  await felt.readRises([1, 1.5, 1, 1])
  await felt.feelHubs(0.12, true)
  await felt.roughIn()
  await felt.feelHubs(0.12, true)
  await felt.roughIn()
  await felt.feelHubs(0.12, true)
  await felt.prove(0.118)
  await felt.close('Day-shift millwright', 'New insert, 92 Shore.')

  const roughing = on('CP-11', 'CP-11 open', night, at(0, 3), line(-38, -20, -0.8, 0.6))
  await roughing.open({ reason: 'moved', rpm: 990, customer: '', note: 'Motor back from rewinding.' })
  await roughing.makeSafe('W-2795')
  await roughing.findShims()
  await roughing.look(
    ['base'],
    'to-report',
    'Hairline crack at the weld, far right corner. Ground out and watched; to be welded at the next stop.',
    ['crack'],
  )
  await roughing.look(['grid'], 'put-right', 'One rung worn to half. Grid turned end for end.', ['grid'])
  await roughing.look(['grease'], 'put-right', 'Dry. Cleaned out and packed anew.')
  await roughing.write({
    kind: 'pins-handled',
    payload: { did: 'pulled', words: 'Two taper pins, in the box.' },
  })
  await roughing.restIsFine()
  await roughing.readRises([1, 1.5, 1, 0.5])
  await roughing.readLevel('stationary', 3, 12, 'coupling')
  await roughing.readLevel('movable', 8, 12, 'far')
  await roughing.turnHub('movable', 'rim', [0, 1.1, 2.2, 2.9, 2.4, 1.5, 0.3, -0.4])
  await roughing.turnHub('movable', 'shaft', [0, 0.1, 0.3, 0.3, 0.2, 0.2, 0, -0.1])
  await roughing.feelHubs(0.12)
  await roughing.write(HOT_GEAR_UNIT)

  const rocking = on('PR-02', 'PR-02 open', day, at(0, 1), line(-38, 20, 0.9, -0.7))
  await rocking.open({ reason: 'moved', rpm: 1470, customer: '', note: 'Motor back from rewinding.' })
  await rocking.makeSafe('W-2793')
  await rocking.look(['pads'], 'put-right', 'Rust brushed off.')
  await rocking.restIsFine()
  await rocking.feelGaps({ f2: 18 })
  await rocking.readRises([2.5, 18.5, 2, 16])
  await rocking.fillFoot('f2', [5], [], 'The only leaf at hand.')
  await rocking.feelGaps({ f2: 10 })
  await rocking.readRises([2, 12, 1.5, 9.5], 'Burr filed off the pad at f1.')

  await writeFlanges(knex, { day, night }, at)
  await writeDrums(knex, { day }, at)
  await writeGearsets(knex, { day }, at)
  await writeLines(knex, { lead, day }, at)
  await writeBelts(knex, { day, night, lead }, at)
}

const boltsOf = (
  units: BoltsPayload['units'],
  size: BoltsPayload['size'],
  boltClass: BoltsPayload['boltClass'],
  lubrication: BoltsPayload['lubrication'],
): EntryBody => ({ kind: 'bolts-named', payload: { units, size, boltClass, lubrication, makerTorque: null } })

/** The pan mill's gear unit by the maker's sheet: it rises alike at both ends. */
const WARM_GEAR_UNIT: EntryBody = {
  kind: 'target-set',
  payload: {
    units: 'metric',
    given: {
      way: 'growth',
      machines: [
        {
          machine: 'movable',
          feet: [
            { pair: 'inboard', x: 340, heat: null, rise: 0.24, side: 0 },
            { pair: 'outboard', x: 720, heat: null, rise: 0.22, side: 0 },
          ],
        },
      ],
    },
    source: 'gear unit sheet',
    learned: null,
  },
}
const FEET_OF_CP11 = [
  ['stationary', 'outboard'],
  ['stationary', 'inboard'],
  ['movable', 'inboard'],
  ['movable', 'outboard'],
] as const
const HOT_RUN = (
  [
    [5, 70, 71, 69, 69],
    [60, 112, 121, 92, 88],
    [60, 138, 153, 103, 97],
    [45, 147, 162, 106, 99],
    [25, 148, 163, 107, 100],
    [20, 148, 163.5, 107, 100],
  ] as const
).map(([minutes, ...degrees]) => ({
  minutes,
  feet: FEET_OF_CP11.map(([machine, pair], i) => [machine, pair, degrees[i] ?? 0] as const),
}))

const warm = (pair: string, x: number, height: number, running: number) => ({
  pair,
  x,
  heat: { material: 'cast-iron' as const, alpha: null, height, cold: 68, running },
  rise: null,
  side: 0,
})
/** The gear unit runs warm, most at its coupling end; the motor little. */
const HOT_GEAR_UNIT: EntryBody = {
  kind: 'target-set',
  payload: {
    units: 'inch',
    given: {
      way: 'growth',
      machines: [
        { machine: 'stationary', feet: [warm('outboard', -30, 15.5, 138), warm('inboard', -13, 15.5, 151)] },
        { machine: 'movable', feet: [warm('inboard', 12, 14, 104), warm('outboard', 34.5, 14, 98)] },
      ],
    },
    source: 'heat survey of the clay hall',
    learned: null,
  },
}
