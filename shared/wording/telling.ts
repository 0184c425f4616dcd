import type { MachineRole } from '../../core/plan/pairNames'
import type { UnitSystem } from '../../core/units/unitSystem'
import { feetWords } from './en'
import type { ViewFrom } from './otherEnd'
import { usualNames } from './en/usualNames'
import { OWN_END, wordsFrom, type Named, type Words } from './words'
import type { footWords } from './en/feet'

/** The pair of words a works uses for its feet. */
export type FootWords = keyof typeof footWords

/** A foot pair by the works' own word for its place. */
export type FootNames = (pair: string, machine?: MachineRole) => string

/** All that words, working and report need to know of who is told: one argument, everywhere. */
export interface Telling {
  readonly words: Words
  readonly units: UnitSystem
  readonly footNames: FootNames
  /** From which end the person who is told looks. */
  readonly viewFrom: ViewFrom
  /** The same told of another machine: a part of a train. */
  readonly of: (machine: Footed) => Telling
}

/** The part of a machine that its feet are named by: pairs in order from the coupling. */
interface Footed {
  readonly drive: string
  readonly movableName?: string
  readonly stationaryName?: string
  readonly feet?: Readonly<Record<MachineRole, readonly { readonly id: string }[]>>
  /** What stands on either side of it in a train, null at an end: its pairs are called by that. */
  readonly neighbours?: readonly [string | null, string | null]
}

/** Names the pairs of a machine by their place: the nearest, the furthest, those between. */
export const nameFeet = (words: Words, chosen: FootWords, machine: Footed | null): FootNames => {
  const w = feetWords(words)
  const side = (neighbour: string | null) => (neighbour === null ? w.freeEnd : w.toward(neighbour))
  const { near, far } = machine?.neighbours
    ? { near: side(machine.neighbours[0]), far: side(machine.neighbours[1]) }
    : w.footWords[chosen]
  return (pair, role = 'movable') => {
    const pairs = machine?.feet?.[role] ?? []
    const at = pairs.findIndex((p) => p.id === pair)
    if (at < 0) return pair
    if (at === 0) return near
    return at === pairs.length - 1 ? far : feetWords(words).between(at, pairs.length)
  }
}

/** A pair where both machines have a say: those of the driven one are called so. */
export const pairName = (
  { words, footNames }: Pick<Telling, 'words' | 'footNames'>,
  { id, machine = 'movable' }: { readonly id: string; readonly machine?: MachineRole | undefined },
): string => (machine === 'stationary' ? feetWords(words).driven(footNames(id, machine)) : footNames(id))

/**
 * What the two machines are called in its words. A motor drives: what stands across from it is the driven one; across
 * from any other machine stands one that is called by its name.
 */
export const namesOf = (machine: Footed | null): Named => {
  const movable = machine?.movableName?.toLowerCase() ?? usualNames.movable
  if (movable === usualNames.movable) return usualNames
  const stationary = machine?.stationaryName?.toLowerCase()
  return stationary ? { movable, stationary, stationaryMachine: stationary } : { ...usualNames, movable }
}

/** English, in these units, with the works' words for the feet of this machine. */
export const tellingOf = (
  units: UnitSystem,
  machine: Footed | null,
  feet: FootWords = 'inboard-outboard',
  from: ViewFrom = 'movable',
): Telling => {
  const viewFrom = seenOf(machine, from)
  return {
    words: wordsFrom(viewFrom, namesOf(machine)),
    units,
    footNames: nameFeet(OWN_END, feet, machine),
    viewFrom,
    of: (other) => tellingOf(units, other, feet, from),
  }
}

/** An upright machine is looked at from above, wherever one stands. */
export const seenOf = (machine: Pick<Footed, 'drive'> | null, from: ViewFrom): ViewFrom =>
  machine?.drive === 'flange' ? 'above' : from

/** The far end of the movable machine, by the works' word: angles are told by it. */
export const farEnd = (feet: readonly { readonly id: string }[], telling: Telling): string =>
  telling.footNames(feet[feet.length - 1]?.id ?? '')
