import { expose } from 'comlink'
import { workOut } from '~~/shared/quick/workOut'

/** Quick sums, away from the page: a search holds up no finger. Ended by ending the worker. */
const sums = { workOut }
export type Sums = typeof sums

expose(sums)
