import type { H3Event } from 'h3'
import { Refused } from '../http/refusal'
import { tooManyGuesses } from './secrets'

/** Wrong guesses from one address in so many seconds, whoever they were made at. */
const MOST = 40
const WITHIN_SECONDS = 300
/** Addresses that are watched. */
const MOST_WATCHED = 5000
/** Guesses that are looked at side by side: each takes its share of a processor. */
const AT_ONCE = 4

const wrongFrom = new Map<string, number[]>()
let underway = 0
const waiting: (() => void)[] = []

const lately = (address: string): number[] =>
  (wrongFrom.get(address) ?? []).filter((at) => at > Date.now() - WITHIN_SECONDS * 1000)

const inTurn = async <T>(work: () => Promise<T>): Promise<T> => {
  if (underway >= AT_ONCE) {
    if (waiting.length >= 200) throw tooManyGuesses(5)
    await new Promise<void>((resolve) => waiting.push(resolve))
  }
  underway += 1
  try {
    return await work()
  } finally {
    underway -= 1
    waiting.shift()?.()
  }
}

/** Where a guess comes from; a proxy on this machine says for whom it asks, last in its list. */
const addressOf = (event: H3Event): string => {
  const direct = event.node.req.socket.remoteAddress ?? ''
  if (!/^(::ffff:)?127\.|^::1$/.test(direct)) return direct
  const told = event.node.req.headers['x-forwarded-for']
  return [told].flat().join(',').split(',').pop()?.trim() || direct
}

/** Looks at a guess, a few at a time, and slows down an address that guesses wrong again and again. */
export const slowDown = async <T>(event: H3Event, guess: () => Promise<T>): Promise<T> => {
  const address = addressOf(event)
  const wrong = lately(address)
  const [oldest = 0] = wrong
  if (wrong.length >= MOST) throw tooManyGuesses((oldest + WITHIN_SECONDS * 1000 - Date.now()) / 1000)
  try {
    return await inTurn(guess)
  } catch (failure) {
    if (failure instanceof Refused && failure.status === 401) {
      if (wrongFrom.size >= MOST_WATCHED) wrongFrom.delete(wrongFrom.keys().next().value ?? '')
      wrongFrom.set(address, [...lately(address), Date.now()])
    }
    throw failure
  }
}
