import { database } from '../database/connection'
import type { Doorkeeper } from './conversation'
import { receive } from './pairing'

/** Wrong codes from one address in a minute. */
const MOST_GUESSES = 20
const MINUTE = 60_000
/** Milliseconds an instrument stays away after a flood. */
const REST = 10_000

/** Lets instruments in by code or key, and keeps those out that guess or flood. */
export const openDoor = (): Doorkeeper => {
  const guesses = new Map<string, { count: number; since: number }>()
  const resting = new Map<string, number>()
  return {
    receive: (hello) => receive(database('write'), hello),
    mayTry: (from) => {
      const tried = guesses.get(from)
      if (tried && Date.now() - tried.since > MINUTE) guesses.delete(from)
      return (guesses.get(from)?.count ?? 0) < MOST_GUESSES
    },
    failed: (from) => {
      const tried = guesses.get(from) ?? { count: 0, since: Date.now() }
      guesses.set(from, { ...tried, count: tried.count + 1 })
    },
    restsFor: (serial) => {
      const until = resting.get(serial) ?? 0
      if (until < Date.now()) resting.delete(serial)
      return until > Date.now()
    },
    flooded: (serial) => resting.set(serial, Date.now() + REST),
  }
}
