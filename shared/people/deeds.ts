import { z } from 'zod'
import { issue } from '../issue'
import { paging } from '../api/paging'
import { text, uuid } from '../text'

/** Everything that leaves a line in the register of who did what: at the door, and the routes that access.ts logs. */
export const DEEDS = [
  'signIn',
  'signInWrong',
  'signOutEverywhere',
  'firstLead',
  'changeSecret',
  'second',
  'openJob',
  'setPractice',
  'dropPractice',
  'addMachine',
  'changeMachine',
  'countLot',
  'countSpareBelts',
  'addLot',
  'changeLot',
  'addSpareBelts',
  'changeSpareBelts',
  'addInstrument',
  'changeInstrument',
  'changeComeBack',
  'addLimits',
  'changeLimits',
  'addSection',
  'changeSection',
  'addBeltLimits',
  'changeBeltLimits',
  'addStandstill',
  'changeStandstill',
  'makeFeed',
  'endFeed',
  'bringJob',
  'bringTables',
  'worksArchive',
  'addPerson',
  'changePerson',
  'resetSecret',
  'addCustomer',
  'changeCustomer',
] as const
export type Deed = (typeof DEEDS)[number]

const day = (what: 'from-day' | 'to-day') => z.iso.date({ error: issue('day', what) }).optional()

/** What of the register of who did what is looked for; days are included. */
export const deedsQuery = z.object({
  words: text('search-words', 200).default(''),
  person: uuid('person').optional(),
  deed: z.enum(DEEDS, { error: issue('one-of', 'deed', DEEDS.join(', ')) }).optional(),
  from: day('from-day'),
  to: day('to-day'),
  ...paging(50),
})
export type DeedsQuery = z.output<typeof deedsQuery>
