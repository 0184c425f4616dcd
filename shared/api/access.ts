import type { Right } from '../../core/logbook/may'
import type { ROUTES } from './routes'

export type RouteName = keyof typeof ROUTES

/** Where a request names who it is from: somebody who has shown their PIN on the device it comes from. */
export type Signed = 'body.author' | 'body.by' | 'body.person' | 'body.opening.author' | 'query.person'

export interface Access {
  /** What one must be let do; null where nobody has to have signed in. */
  readonly asks: Right | null
  readonly signed?: Signed
  /** An outbox sends it by itself, whoever is at the device. */
  readonly byItself?: true
  /** Asked by whoever is not signed in, it still wants to know who is. */
  readonly asksWho?: true
  /** Not a line of who did what: it keeps nothing, or is kept in a logbook with its writer. */
  readonly unlogged?: true
}

/** Nothing of it is a line of who did what. */
const reads = (right: Right = 'read'): Access => ({ asks: right, unlogged: true })
const anybody: Access = { asks: null, unlogged: true }
const atTheDoor: Access = { ...anybody, asksWho: true }

/** What each route asks of whoever calls it. Who is let do what stands in core/logbook/may.ts. */
export const ACCESS: Readonly<Record<RouteName, Access>> = {
  health: anybody,
  openapi: anybody,
  calculations: anybody,
  // Its secret address is what lets a calendar program in.
  readFeed: anybody,
  session: atTheDoor,
  signIn: atTheDoor,
  lock: atTheDoor,
  signOut: atTheDoor,
  firstLead: atTheDoor,
  second: atTheDoor,
  changeSecret: atTheDoor,

  works: reads(),
  metrics: reads(),
  search: reads(),
  searchViews: { ...reads(), signed: 'query.person' },
  keepSearchView: { ...reads(), signed: 'body.person' },
  dropSearchView: { ...reads(), signed: 'body.by' },
  calendar: reads(),
  feeds: reads(),
  stores: reads(),
  people: reads(),
  today: reads(),
  machines: reads(),
  machine: reads(),
  machineHistory: reads(),
  limits: reads(),
  sections: reads(),
  beltLimits: reads(),
  jobs: reads(),
  job: reads(),
  stream: reads(),
  instruments: reads(),
  jobFile: reads(),
  jobTable: reads(),
  report: reads(),
  sheet: reads(),
  photograph: reads(),
  shimOutline: reads(),

  openJob: { asks: 'log', signed: 'body.opening.author', byItself: true },
  addEntry: { ...reads('log'), signed: 'body.author', byItself: true },
  call: reads('log'),
  keepPhotograph: { ...reads('log'), byItself: true },
  awaitInstrument: { ...reads('measure'), signed: 'body.author' },
  swapInstruments: reads('measure'),
  commandInstrument: reads('measure'),
  releaseInstrument: reads('measure'),

  practice: { ...reads('practise'), signed: 'query.person' },
  handInPractice: { ...reads('practise'), signed: 'body.person', byItself: true },
  practiceCsv: { ...reads('lessons'), signed: 'query.person' },
  setPractice: { asks: 'lessons', signed: 'body.by' },
  dropPractice: { asks: 'lessons', signed: 'body.by' },

  addMachine: { asks: 'register' },
  changeMachine: { asks: 'register' },
  countLot: { asks: 'count', signed: 'body.author' },
  countSpareBelts: { asks: 'count', signed: 'body.author' },
  addLot: { asks: 'stores' },
  changeLot: { asks: 'stores' },
  addSpareBelts: { asks: 'stores' },
  changeSpareBelts: { asks: 'stores' },
  addInstrument: { asks: 'stores' },
  changeInstrument: { asks: 'stores' },
  changeComeBack: { asks: 'limits' },
  addLimits: { asks: 'limits' },
  changeLimits: { asks: 'limits' },
  addSection: { asks: 'limits' },
  changeSection: { asks: 'limits' },
  addBeltLimits: { asks: 'limits' },
  changeBeltLimits: { asks: 'limits' },
  addStandstill: { asks: 'schedule' },
  changeStandstill: { asks: 'schedule' },
  makeFeed: { asks: 'read' },
  endFeed: { asks: 'read' },
  bringJob: { asks: 'files' },
  bringTables: { asks: 'files', signed: 'body.person' },
  worksArchive: { asks: 'people' },

  peopleInFull: reads('people'),
  addPerson: { asks: 'people' },
  changePerson: { asks: 'people' },
  resetSecret: { asks: 'people' },
  customers: reads('people'),
  addCustomer: { asks: 'people' },
  changeCustomer: { asks: 'people' },
  deeds: reads('people'),
  ownJobs: reads('own-jobs'),
  ownReport: reads('own-jobs'),
}
