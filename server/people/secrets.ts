import { hash, verify } from '@node-rs/argon2'
import type { Knex } from 'knex'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from '../http/refusal'
import { noteRight, takeGuess, type Guarded } from './people.repository'

/** Memory in KiB and passes of each hash: what argon2id is advised to take on a server that does other things too. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 }
/** Wrong guesses of one person that cost nothing but the guess; seconds that the next one waits then, doubled each time. */
const SLOWING = { free: 4, first: 15, longest: 900 }

/** A hash of a PIN or password, as it is kept. */
export const hashOf = (secret: string): Promise<string> => hash(secret, COST)

/** Too many guesses: when the next one is looked at. */
export const tooManyGuesses = (seconds: number): Refused =>
  new Refused(429, 'wait', answerWords.people.wait(Math.max(1, Math.ceil(seconds))))

/** A hash of nothing: whoever guesses at a name that is not there waits as long as for one that is. */
let ofNobody: Promise<string> | null = null

/** Takes as long as looking at a guess does, and answers no. */
export const guessAtNobody = async (secret: string): Promise<false> => {
  ofNobody ??= hashOf('nobody')
  await verify(await ofNobody, secret)
  return false
}

/**
 * Whether this is somebody's PIN or password. Wrong guesses are counted in the works, so that every process slows them
 * down: 429 with the seconds to wait once there were too many.
 */
export const isSecretOf = async (knex: Knex, person: Guarded, secret: string): Promise<boolean> => {
  const waits = await takeGuess(knex, person.id, SLOWING)
  if (waits !== null) throw tooManyGuesses(waits)
  if (person.secret === null) return guessAtNobody(secret)
  const right = await verify(person.secret, secret)
  if (right) await noteRight(knex, person.id)
  return right
}
