import { METHOD_FORMS, type OfferedMethod } from '../methods/forms'
import { feedChange, newFeed } from '../comeBack/feed'
import { worksRulesChange } from '../comeBack/rules'
import { newStandstill, standstillChange } from '../comeBack/standstill'
import { issue } from '../issue'
import { z } from 'zod'
import { paging } from './paging'
import { entryDraft, liftDraft } from '../logbook/entry'
import { liftPostedMachine } from '../register/lifts'
import { limitSetChange, newLimitSet } from '../limits/limitSet'
import { machineChange, newMachine } from '../register/machine'
import { droppedTask, practiceQuery, practiceResult, practiceTask } from '../practice/result'
import { PICTURE_TYPES } from '../photographs/photographs'
import { askForCode, swapPlaces, toInstrument } from '../instruments/link'
import { call } from '../secondScreen/call'
import { refuseCutThrough } from '../stages/look/entries'
import { droppedView, savedView, searchQuery, viewsQuery } from '../search/search'
import { VIEWS_FROM } from '../wording/otherEnd'
import { newSection, sectionChange } from '../sections/section'
import { instrumentChange, newInstrument } from '../stores/instrument'
import { beltLimitsChange, newBeltLimits } from '../beltLimits/beltLimits'
import { lotChange, newCount, newLot } from '../stores/lot'
import { newSpareBelts, spareBeltsChange } from '../stores/spareBelts'
import { text, uuid, words } from '../text'
import { FILE_ROUTES } from './fileRoutes'
import { PEOPLE_ROUTES } from './peopleRoutes'

export interface RouteContract {
  readonly method: 'get' | 'post' | 'put'
  readonly path: string
  readonly summary: string
  readonly body?: z.ZodType
  /** Brings a body of an older version to today's shape before it is parsed. */
  readonly lift?: (raw: unknown) => unknown
  readonly query?: z.ZodObject
  readonly answers?: string
  /** The kinds of file it takes instead of JSON. */
  readonly takes?: readonly string[]
  /** What a file that it takes or answers holds, where that is JSON. */
  readonly file?: z.ZodType
  /** Seconds it may take, where that is more than a few. */
  readonly seconds?: number
}

const jobOpening = z.object({
  id: uuid('jobs-id'),
  machine: words('which-machine-by-its-tag', 20),
  opening: entryDraft,
})

/** An opening of an older version inside its job. */
const liftOpening = (raw: unknown): unknown =>
  typeof raw === 'object' && raw !== null && 'opening' in raw
    ? { ...raw, opening: liftDraft(raw.opening) }
    : raw

const jobsQuery = z.object({
  machine: words('which-machine-by-its-tag', 20).optional(),
  open: z.enum(['yes', 'no'], { error: issue('yes-or-no') }).optional(),
  ...paging(50),
})

const reportQuery = z.object({
  paper: z.enum(['a4', 'letter'], { error: issue('choose-a4-or-letter') }).default('a4'),
  units: z.enum(['inch', 'metric'], { error: issue('choose-inch-or-metric') }).optional(),
  names: z.enum(['yes', 'no'], { error: issue('yes-or-no') }).default('yes'),
  view: z.enum(VIEWS_FROM, { error: issue('one-of', 'view-from', VIEWS_FROM.join(', ')) }).default('movable'),
})

/** A data sheet: of which method where it is of a coupling, filled with what the job knows or blank. */
const sheetQuery = reportQuery.extend({
  method: z
    .enum(Object.keys(METHOD_FORMS) as [OfferedMethod, ...OfferedMethod[]], {
      error: issue('unknown-method'),
    })
    .optional(),
  part: z.string().min(1).max(40).optional(),
  filled: z.enum(['yes', 'no'], { error: issue('yes-or-no') }).default('no'),
})

const size = z.coerce
  .number({ error: issue('outline-figures') })
  .gt(0, { error: issue('outline-figures') })
  .max(2000, { error: issue('outline-figures') })

/** A shim's outline, in or mm as `units` says; the sheet's thickness mil or mm. */
const outlineQuery = z
  .object({
    paper: z.enum(['a4', 'letter'], { error: issue('choose-a4-or-letter') }).default('a4'),
    units: z.enum(['inch', 'metric'], { error: issue('choose-inch-or-metric') }).default('metric'),
    length: size,
    width: size,
    slot: size,
    toBolt: size,
    note: text('note', 120).optional(),
  })
  .superRefine((q, context) => refuseCutThrough(q, q.units, context))

/** Every route with the schemas it parses by; the OpenAPI document is written from this table. */
export const ROUTES = {
  health: { method: 'get', path: '/api/health', summary: 'Whether the program and its database answer.' },
  metrics: {
    method: 'get',
    path: '/api/metrics',
    summary: 'What this process counts, in the text format of Prometheus.',
    answers: 'text/plain',
  },
  openapi: { method: 'get', path: '/api/openapi.json', summary: 'This document.' },
  works: { method: 'get', path: '/api/works', summary: 'The works: its name, shim stock and pack rule.' },
  changeComeBack: {
    method: 'put',
    path: '/api/works/come-back',
    summary: 'Changes the works’ rules for coming back; days that were signed for stay.',
    body: worksRulesChange,
  },
  search: {
    method: 'get',
    path: '/api/logbook',
    summary:
      'Jobs found by words and by what they were, newest first, and what they can be narrowed down by.',
    query: searchQuery,
  },
  searchViews: {
    method: 'get',
    path: '/api/logbook/views',
    summary: 'Searches somebody keeps under a name.',
    query: viewsQuery,
  },
  keepSearchView: {
    method: 'post',
    path: '/api/logbook/views',
    summary: 'Keeps a search under a name; the same name again takes its place.',
    body: savedView,
  },
  dropSearchView: {
    method: 'post',
    path: '/api/logbook/views/{id}/drop',
    summary: 'Drops a search that is kept; its owner’s to do.',
    body: droppedView,
  },
  calendar: {
    method: 'get',
    path: '/api/calendar',
    summary: 'What is due and on which stop it lands, and when halls stand.',
  },
  practice: {
    method: 'get',
    path: '/api/practice',
    summary:
      'What somebody’s tries on the bench came to, and the lessons that are set; for a lead, everybody’s.',
    query: practiceQuery,
  },
  handInPractice: {
    method: 'post',
    path: '/api/practice/results',
    summary: 'Hands in what a try came to; handed in twice it is there once.',
    body: practiceResult,
  },
  practiceCsv: {
    method: 'get',
    path: '/api/practice/results.csv',
    summary: 'Everybody’s results as CSV, for a lead.',
    query: practiceQuery,
    answers: 'text/csv',
  },
  setPractice: {
    method: 'post',
    path: '/api/practice/tasks',
    summary: 'Sets a lesson with a date; a lead’s to do.',
    body: practiceTask,
  },
  dropPractice: {
    method: 'put',
    path: '/api/practice/tasks/{id}',
    summary: 'Takes a lesson back; a lead’s to do.',
    body: droppedTask,
  },
  addStandstill: {
    method: 'post',
    path: '/api/standstills',
    summary: 'Adds a planned stop of a hall.',
    body: newStandstill,
  },
  changeStandstill: {
    method: 'put',
    path: '/api/standstills/{id}',
    summary: 'Changes a planned stop or calls it off; a stale version is answered 409 with the current one.',
    body: standstillChange,
  },
  feeds: {
    method: 'get',
    path: '/api/feeds',
    summary: 'Calendars that were made to subscribe to, without their addresses.',
  },
  makeFeed: {
    method: 'post',
    path: '/api/feeds',
    summary: 'Makes a calendar of the works or of one person; its secret address is answered this once.',
    body: newFeed,
  },
  endFeed: {
    method: 'put',
    path: '/api/feeds/{feed}',
    summary: 'Ends a calendar: its address answers nothing any more.',
    body: feedChange,
  },
  readFeed: {
    method: 'get',
    path: '/api/feeds/{feed}/calendar.ics',
    summary: 'A calendar at its secret address, to subscribe to.',
    answers: 'text/calendar',
  },
  stores: {
    method: 'get',
    path: '/api/stores',
    summary:
      'Shims with what is left, reserved and free, spare belts, and instruments with their calibration.',
  },
  addLot: {
    method: 'post',
    path: '/api/stores/lots',
    summary: 'Puts shims of one thickness, kind and size into the stores.',
    body: newLot,
  },
  changeLot: {
    method: 'put',
    path: '/api/stores/lots/{id}',
    summary: 'Changes where shims lie, their size, when to order, or takes them out of use.',
    body: lotChange,
  },
  countLot: {
    method: 'post',
    path: '/api/stores/lots/{id}/counts',
    summary: 'A count of shims, which rules from now on. Posting the same one twice is harmless.',
    body: newCount,
  },
  addSpareBelts: {
    method: 'post',
    path: '/api/stores/belts',
    summary: 'Puts spare belts of one section and length into the stores, loose or in sets.',
    body: newSpareBelts,
  },
  changeSpareBelts: {
    method: 'put',
    path: '/api/stores/belts/{id}',
    summary: 'Changes where spare belts lie, when to order, or takes them out of use.',
    body: spareBeltsChange,
  },
  countSpareBelts: {
    method: 'post',
    path: '/api/stores/belts/{id}/counts',
    summary: 'A count of spare belts, which rules from now on. Posting the same one twice is harmless.',
    body: newCount,
  },
  addInstrument: {
    method: 'post',
    path: '/api/stores/instruments',
    summary: 'Adds an instrument to the stores.',
    body: newInstrument,
  },
  changeInstrument: {
    method: 'put',
    path: '/api/stores/instruments/{id}',
    summary: 'Changes an instrument or takes it out of use; jobs keep it as it was.',
    body: instrumentChange,
  },
  people: { method: 'get', path: '/api/people', summary: 'Who may write in the logbook.' },
  today: {
    method: 'get',
    path: '/api/today',
    summary: 'Open jobs, machines out of band, jobs closed lately.',
  },
  machines: { method: 'get', path: '/api/machines', summary: 'The register of machines.' },
  addMachine: {
    method: 'post',
    path: '/api/machines',
    summary: 'Adds a machine.',
    body: newMachine,
    lift: liftPostedMachine,
  },
  machine: { method: 'get', path: '/api/machines/{tag}', summary: 'One machine with its jobs.' },
  machineHistory: {
    method: 'get',
    path: '/api/machines/{tag}/history',
    summary: 'The closed jobs of a machine: judged figures as found and as left, what moved, what was said.',
  },
  changeMachine: {
    method: 'put',
    path: '/api/machines/{tag}',
    summary: 'Changes a machine; a stale version is answered 409 with the current row.',
    body: machineChange,
    lift: liftPostedMachine,
  },
  limits: {
    method: 'get',
    path: '/api/limits',
    summary: 'Tables of limits by speed, of the works and of kinds of coupling; those in force first.',
  },
  addLimits: {
    method: 'post',
    path: '/api/limits',
    summary: 'Adds a table of limits; in force it takes the place of the one before it.',
    body: newLimitSet,
  },
  changeLimits: {
    method: 'put',
    path: '/api/limits/{id}',
    summary:
      'Changes a table of limits; a stale version is answered 409 with the current one. Jobs that are open keep theirs.',
    body: limitSetChange,
  },
  sections: {
    method: 'get',
    path: '/api/sections',
    summary: 'Belt sections that the works has written, with their charts of forces; those in use first.',
  },
  addSection: {
    method: 'post',
    path: '/api/sections',
    summary: 'Adds a belt section; in use it takes the place of the one before it.',
    body: newSection,
  },
  changeSection: {
    method: 'put',
    path: '/api/sections/{id}',
    summary:
      'Changes a belt section; a stale version is answered 409 with the current one. Jobs that are open keep theirs.',
    body: sectionChange,
  },
  beltLimits: {
    method: 'get',
    path: '/api/belt-limits',
    summary: 'What belt drives are judged by in this works; those in force first.',
  },
  addBeltLimits: {
    method: 'post',
    path: '/api/belt-limits',
    summary: 'Adds limits of belt drives; in force they take the place of those before them.',
    body: newBeltLimits,
  },
  changeBeltLimits: {
    method: 'put',
    path: '/api/belt-limits/{id}',
    summary:
      'Changes limits of belt drives; a stale version is answered 409 with the current ones. Jobs that are open keep theirs.',
    body: beltLimitsChange,
  },
  jobs: {
    method: 'get',
    path: '/api/jobs',
    summary: 'Jobs, newest first, a page at a time: of one machine, open or closed.',
    query: jobsQuery,
  },
  openJob: {
    method: 'post',
    path: '/api/jobs',
    summary: 'Opens a job with its first entry.',
    body: jobOpening,
    lift: liftOpening,
  },
  job: {
    method: 'get',
    path: '/api/jobs/{id}',
    summary: 'A job: its machine as it was on the day, and its logbook.',
  },
  addEntry: {
    method: 'post',
    path: '/api/jobs/{id}/entries',
    summary: 'Adds one entry to the logbook. Posting the same UUID twice is harmless.',
    body: entryDraft,
    lift: liftDraft,
  },
  stream: {
    method: 'get',
    path: '/api/jobs/{id}/stream',
    summary: 'Server-sent stream of entries as they are received.',
    answers: 'text/event-stream',
    seconds: Infinity,
  },
  call: {
    method: 'post',
    path: '/api/jobs/{id}/call',
    summary:
      'A word between the board and the second screen of a job: passed on to whoever looks, kept nowhere.',
    body: call,
  },
  instruments: {
    method: 'get',
    path: '/api/jobs/{id}/instruments',
    summary: 'Places of a job where an instrument speaks or is awaited, and how its line stands.',
  },
  awaitInstrument: {
    method: 'post',
    path: '/api/jobs/{id}/instruments',
    summary: 'Awaits an instrument at a place of an open job; answers the pairing code to type at it.',
    body: askForCode,
  },
  swapInstruments: {
    method: 'post',
    path: '/api/jobs/{id}/instruments/swap',
    summary: 'Two instruments of a job change places: their lines were mixed up.',
    body: swapPlaces,
  },
  commandInstrument: {
    method: 'post',
    path: '/api/jobs/{id}/instruments/{link}/do',
    summary: 'Says a word to an instrument: zero, take, beep.',
    body: toInstrument,
  },
  releaseInstrument: {
    method: 'post',
    path: '/api/jobs/{id}/instruments/{link}/release',
    summary: 'Takes an instrument off its place; its line is closed.',
    body: z.object({}),
  },
  report: {
    method: 'get',
    path: '/api/jobs/{id}/report.pdf',
    summary: 'The report to print and sign.',
    query: reportQuery,
    answers: 'application/pdf',
    seconds: 45,
  },
  sheet: {
    method: 'get',
    path: '/api/jobs/{id}/sheet.pdf',
    summary: 'A data sheet to print and write on at the machine, in the order that quick entry takes it.',
    query: sheetQuery,
    answers: 'application/pdf',
    seconds: 45,
  },
  photograph: {
    method: 'get',
    path: '/api/jobs/{id}/photographs/{photograph}',
    summary: 'A photograph of a job.',
    answers: 'image/jpeg',
  },
  keepPhotograph: {
    method: 'put',
    path: '/api/jobs/{id}/photographs/{photograph}',
    summary:
      'Keeps a photograph for an entry that is to follow: scaled down, without place data. The same one twice is harmless.',
    takes: PICTURE_TYPES,
    seconds: 45,
  },
  shimOutline: {
    method: 'get',
    path: '/api/shim-outline.pdf',
    summary: 'The outline of a shim to be cut from sheet, to scale.',
    query: outlineQuery,
    answers: 'application/pdf',
    seconds: 45,
  },
  ...FILE_ROUTES,
  ...PEOPLE_ROUTES,
  calculations: { method: 'get', path: '/api/calc', summary: 'The operations of the calculation contract.' },
} as const satisfies Record<string, RouteContract>
