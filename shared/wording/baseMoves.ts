import { baseMove, type BaseMove, type BaseWay } from '../../core/belt/baseMoves'
import type { BeltMachine } from '../../core/register/beltMachine'
import { baseMovesWords } from './en'
import { eighths } from './lines'
import type { Telling } from './telling'

type Base = Pick<BeltMachine['base'], 'kind' | 'place' | 'pull'>
type Words = Pick<Telling, 'words'>

/** Turns in eighths as they are said: `3/8 turn`, `1 1/4 turns`. Empty where they aren't known. */
export const turnsWords = (turns: number | null, { words }: Words): string => {
  if (turns === null) return ''
  const w = baseMovesWords(words)
  const said = eighths(turns)
  return Math.abs(turns) < 1 ? w.fraction(said) : w.turns(said)
}

const whereOf = (move: BaseMove, { words }: Words): string =>
  baseMovesWords(words).going[move.going][move.way]

/** Which way the motor goes on its base: `away from the driven shaft`, `up, away from the driven shaft`. */
export const whereWords = (base: Base, way: BaseWay, telling: Words): string =>
  whereOf(baseMove(base, way), telling)

/** What to turn, which way and how far, so that the whole motor goes there, evenly. */
export const moveWords = (base: Base, way: BaseWay, turns: number | null, telling: Words): string => {
  const w = baseMovesWords(telling.words)
  const move = baseMove(base, way)
  const by = turnsWords(turns, telling)
  const where = whereOf(move, telling)
  if (move.nuts) return w.nutsTurned(by, w.nuts[move.nuts.ease], w.nuts[move.nuts.drive], where)
  return move.turned === 'bolt' ? w.bolt(by, where) : w.screws(by, where)
}

/** What moves the far end alone. `by` says how far, as turns or as a distance. */
export const endWords = (base: Base, way: BaseWay, by: string, telling: Words): string => {
  const w = baseMovesWords(telling.words).end
  const move = baseMove(base, way)
  const where = whereOf(move, telling)
  const { nuts } = baseMovesWords(telling.words)
  if (move.nuts) return w.nuts(by, nuts[move.nuts.ease], nuts[move.nuts.drive], where)
  return move.turned === 'bolt' ? w.bolt(by, where) : w.screws(by, where)
}

/** How the motor's weight is to be held before anything of this base is eased; empty where it lies on its slide. */
export const weightWords = (base: Base, { words }: Words): string =>
  baseMovesWords(words).weight[baseMove(base, 'toward').weight]
