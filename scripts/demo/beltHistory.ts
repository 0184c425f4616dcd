import type { Knex } from 'knex'
import type { EntryBody } from '../../core/logbook/entry'
import { DRIVE_PLACES } from '../../core/stages/inspect/entries'
import { RUN_POINTS, type RunPoint } from '../../core/stages/run/entries'
import type { BeltFields } from '../../shared/register/beltMachine'
import { JobWriter } from './jobWriter'
import { MACHINES } from './works'

const belted = (tag: string): BeltFields => {
  const found = MACHINES.find((m) => m.tag === tag)
  if (found?.drive !== 'belt') throw new Error(`The demo works drives no ${tag} by belts.`)
  return found
}

const gaps = (p1: number, p2: number, g12: number, g6: number): EntryBody => ({
  kind: 'sheaves-read',
  payload: {
    edgeOn: 'driven',
    edgeSide: 'outer',
    units: 'metric',
    p1,
    p2,
    w: 172,
    reference: null,
    tilt: { g12, g6, h: 172 },
  },
})
const contacts = (near: boolean, far: boolean): EntryBody => ({
  kind: 'contacts-checked',
  payload: {
    edgeOn: 'driven',
    edgeSide: 'outer',
    reference: { far: true, near: true },
    other: { near, far },
  },
})

/** Feelers at the conveyor's sheave, the edge on the motor's narrower face away from the motor. */
const dryerGaps = (p1: number, p2: number): EntryBody => ({
  kind: 'sheaves-read',
  payload: {
    edgeOn: 'motor',
    edgeSide: 'outer',
    units: 'metric',
    p1,
    p2,
    w: 266,
    reference: null,
    tilt: null,
  },
})

/** Feelers at the roller drive's motor sheave, the edge on the driven one. */
const kilnGaps = (p1: number, p2: number): EntryBody => ({
  kind: 'sheaves-read',
  payload: {
    edgeOn: 'driven',
    edgeSide: 'outer',
    units: 'metric',
    p1,
    p2,
    w: 96,
    reference: null,
    tilt: { g12: 0.1, g6: 0.1, h: 96 },
  },
})

/** A set pushed to the gauge's deflection, belt by belt; newtons at so many millimetres. */
const pushed = (deflection: number, age: 'new' | 'run-in', ...forces: readonly number[]): EntryBody => ({
  kind: 'tension-read',
  payload: {
    units: 'metric',
    age,
    sheaves: 'free',
    read: { by: 'force', deflection, forces },
    words: '',
  },
})
const turnedBoth = (turns: number): EntryBody => ({
  kind: 'tension-adjusted',
  payload: { sheaveEnd: turns, farEnd: turns, words: '' },
})
const tightened: EntryBody = { kind: 'base-tightened', payload: { words: '' } }
const fittedBelts = (belts: 'same' | 'new', length: number | null = null, matched = false): EntryBody => ({
  kind: 'belts-fitted',
  payload: { belts, units: 'metric', length, matched: matched || null, words: '' },
})
const slackedOff: EntryBody = { kind: 'slacked-off', payload: { belts: 'off', words: '' } }
const squared = (sheaveEnd: number, farEnd: number): EntryBody => ({
  kind: 'motor-squared',
  payload: { units: 'metric', sheaveEnd, farEnd, edge: 'far-side', words: '' },
})
const lookedOver: EntryBody = {
  kind: 'drive-looked',
  payload: { places: [...DRIVE_PLACES], found: 'fine', words: '', photographs: [] },
}
const ranWell = (point: RunPoint, current: number | null = null): EntryBody => ({
  kind: 'run-confirmed',
  payload: { point, found: 'good', current, words: '' },
})

/** Turned by hand, guarded, run and listened to. */
const writeRun = async (job: JobWriter, current: number): Promise<void> => {
  for (const point of RUN_POINTS) await job.write(ranWell(point, point === 'ran' ? current : null), 4)
}

/** The glaze mill: new belts last spring, slack a week after, and found turned again today. */
const writeGlazeMill = async (
  knex: Knex,
  people: { readonly day: string; readonly night: string },
  at: (daysAgo: number, hour: number) => Date,
): Promise<void> => {
  const spring = new JobWriter(knex, belted('GL-03'), 'GL-03 new belts', people.day, at(203, 9))
  await spring.open({ reason: 'wear', rpm: 1465, customer: '', note: 'Set of five to be replaced whole.' })
  await spring.makeSafe('W-2330')
  await spring.write(slackedOff, 15)
  await spring.write(
    {
      kind: 'drive-looked',
      payload: {
        places: ['belts'],
        found: 'put-right',
        words: 'Two belts cracked across. All five replaced.',
        photographs: [],
      },
    },
    8,
  )
  await spring.write(lookedOver, 10)
  await spring.write(squared(112.4, 112.8), 8)
  await spring.write(contacts(false, false), 8)
  await spring.write(gaps(4.85, 4.6, 0.1, 0.05), 12)
  await spring.write(
    { kind: 'line-corrected', payload: { steps: ['offset'], remark: 'Motor sheave slid on its bushing.' } },
    35,
  )
  await spring.write(gaps(2.75, 2.6, 0.1, 0.05), 10)
  await spring.write(fittedBelts('new', 2478, true), 12)
  await spring.write(pushed(12.5, 'new', 18.5, 18, 19, 18, 18.5), 10)
  await spring.write(turnedBoth(1), 6)
  await spring.write(pushed(12.5, 'new', 24.6, 24.1, 25, 24.2, 24.6), 8)
  await spring.write(turnedBoth(1.125), 6)
  await spring.write(pushed(12.5, 'new', 31.2, 30.6, 31.8, 30.8, 31.2), 8)
  await spring.write(tightened, 12)
  await spring.write(gaps(2.8, 2.6, 0.1, 0.05), 8)
  await spring.write(pushed(12.5, 'new', 31, 30.5, 31.6, 30.6, 31), 8)
  await writeRun(spring, 33)
  await spring.close('Day-shift millwright', 'Guard back on, run for ten minutes.', '', undefined, {
    what: 'belts-week',
    days: 7,
  })

  const week = new JobWriter(knex, belted('GL-03'), 'GL-03 after a week', people.night, at(196, 5))
  await week.open({ reason: 'planned', rpm: 1465, customer: '', note: 'First look after the new belts.' })
  await week.makeSafe('W-2338')
  await week.write(pushed(12.5, 'run-in', 17.8, 17.2, 18.2, 17.4, 17.8), 10)
  await week.write(turnedBoth(1.125), 6)
  await week.write(pushed(12.5, 'run-in', 24.9, 24.5, 25.2, 24.6, 24.9), 8)
  await week.write(tightened, 10)
  await week.write(gaps(2.8, 2.65, 0.1, 0.05), 8)
  await week.write(pushed(12.5, 'run-in', 24.8, 24.4, 25.1, 24.5, 24.8), 6)
  await writeRun(week, 33.5)
  await week.close('Night-shift millwright', 'Bedded in. Not slack again by hand.', '', undefined, {
    what: 'regular',
    days: 28,
  })

  for (const [days, note, ...forces] of [
    [168, 'Once more after the first weeks.', 24.1, 23.7, 24.4, 23.8, 24.1],
    [98, 'Quarterly.', 23.5, 23.1, 23.8, 23.2, 23.5],
    [35, 'Quarterly, brought forward to the stop.', 23.2, 22.8, 23.5, 22.9, 23.2],
  ] as const) {
    const look = new JobWriter(
      knex,
      belted('GL-03'),
      `GL-03 read ${String(days)} days ago`,
      people.day,
      at(days, 6),
    )
    await look.open({ reason: 'planned', rpm: 1465, customer: '', note })
    await look.makeSafe(`W-${String(2800 - days)}`)
    await look.write(pushed(12.5, 'run-in', ...forces), 8)
    await look.write(gaps(2.8, 2.65, 0.1, 0.05), 10)
    await writeRun(look, 33.4)
    await look.close('Day-shift millwright', 'In band, left alone.', '', undefined, {
      what: 'regular',
      days: days > 100 ? 70 : days > 40 ? 63 : 42,
    })
  }

  const turned = new JobWriter(knex, belted('GL-03'), 'GL-03 open', people.night, at(0, 4))
  await turned.open({
    reason: 'planned',
    rpm: 1465,
    customer: '',
    note: 'Belt dust on one side of the guard.',
  })
  await turned.makeSafe('W-2795')
  await turned.write(contacts(true, false), 8)
  await turned.write(gaps(0, 0.63, 0.15, 0), 12)
}

/** The roller kiln's toothed belt, and the dryer conveyor whose sheave somebody opened after it was lined up. */
const writeOtherBelts = async (
  knex: Knex,
  people: { readonly day: string },
  at: (daysAgo: number, hour: number) => Date,
): Promise<void> => {
  const kiln = new JobWriter(knex, belted('KY-05'), 'KY-05 new belt', people.day, at(93, 7))
  await kiln.open({ reason: 'wear', rpm: 1455, customer: '', note: 'Belt worn on the motor side.' })
  await kiln.makeSafe('W-2655')
  await kiln.write(slackedOff, 10)
  await kiln.write(lookedOver, 12)
  await kiln.write(squared(84.2, 84.4), 6)
  await kiln.write(kilnGaps(1.9, 0.6), 12)
  await kiln.write({ kind: 'line-corrected', payload: { steps: ['turn'], remark: '' } }, 30)
  await kiln.write(kilnGaps(0.2, 0.15), 10)
  await kiln.write(fittedBelts('new', 1768), 8)
  await kiln.write(pushed(10, 'new', 49.5), 8)
  await kiln.write(tightened, 10)
  await kiln.write(kilnGaps(0.2, 0.1), 8)
  await kiln.write(pushed(10, 'new', 49), 6)
  await writeRun(kiln, 12)
  await kiln.close('Day-shift millwright', 'Teeth of the driven sheave still good.', '', undefined, {
    what: 'regular',
    days: 33,
  })
  // It falls faster than a toothed belt should: looked at more often than the rule asks.
  for (const [days, force, remark, next] of [
    [60, 45.2, 'Looser than it should be by now. Once more in five weeks.', 36],
    [24, 42.3, 'In band. Once more before it leaves it.', 21],
  ] as const) {
    const look = new JobWriter(
      knex,
      belted('KY-05'),
      `KY-05 read ${String(days)} days ago`,
      people.day,
      at(days, 7),
    )
    await look.open({ reason: 'planned', rpm: 1455, customer: '', note: '' })
    await look.makeSafe(`W-${String(2780 - days)}`)
    await look.write(pushed(10, 'run-in', force), 8)
    await look.write(kilnGaps(0.2, 0.1), 8)
    await writeRun(look, 12)
    await look.close('Day-shift millwright', remark, '', undefined, { what: 'regular', days: next })
  }

  const dryer = new JobWriter(knex, belted('GL-07'), 'GL-07 lined up', people.day, at(58, 8))
  await dryer.open({ reason: 'wear', rpm: 1445, customer: '', note: 'New belt.' })
  await dryer.makeSafe('W-2701')
  await dryer.write(slackedOff, 10)
  await dryer.write(lookedOver, 10)
  await dryer.write({ kind: 'setting-read', payload: { place: 'motor', turns: 1, words: '' } }, 3)
  await dryer.write(squared(70.5, 70.9), 6)
  await dryer.write(dryerGaps(4.4, 4.35), 12)
  await dryer.write(fittedBelts('new', 1760), 6)
  await dryer.write(pushed(8.5, 'new', 31), 8)
  await dryer.write(tightened, 8)
  await dryer.write(dryerGaps(4.4, 4.4), 8)
  await dryer.write(pushed(8.5, 'new', 30.5), 6)
  await writeRun(dryer, 8.6)
  await dryer.close('Day-shift millwright', 'Sheave stands at 1 turn.', '', undefined, {
    what: 'regular',
    days: 90,
  })

  const opened = new JobWriter(knex, belted('GL-07'), 'GL-07 open', people.day, at(1, 6))
  await opened.open({
    reason: 'vibration',
    rpm: 1445,
    customer: '',
    note: 'Conveyor runs slower than last week; belt slaps.',
  })
  await opened.makeSafe('W-2793')
  await opened.write(slackedOff, 12)
  await opened.write({ kind: 'setting-read', payload: { place: 'motor', turns: 2.5, words: '' } }, 6)
  await opened.write(
    {
      kind: 'drive-looked',
      payload: { places: ['belts', 'motor-grooves'], found: 'fine', words: '', photographs: [] },
    },
    8,
  )
}

/** The drives by belts. */
export const writeBelts = async (
  knex: Knex,
  people: { readonly day: string; readonly night: string; readonly lead: string },
  at: (daysAgo: number, hour: number) => Date,
): Promise<void> => {
  await writeGlazeMill(knex, people, at)
  await writeOtherBelts(knex, people, at)
}
