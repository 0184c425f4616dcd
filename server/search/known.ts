import type { LogEntry } from '../../core/logbook/entry'
import { standingEntries } from '../../core/logbook/standing'
import type { MachineSnapshot } from '../../shared/register/machine'
import { plainWords, wordsOfMachine, writtenIn } from './terms'

/** What a job is found by that its logbook alone tells. */
export interface Known {
  /** As it stands, corrected where it was. */
  readonly opening: LogEntry<'job-opened'> | null
  /** Who wrote, in the order they first did. */
  readonly people: readonly string[]
  readonly words: ReadonlySet<string>
}

const wordsIn = (text: string): readonly string[] => plainWords(text).split(' ').filter(Boolean)

const openingOf = (entries: readonly LogEntry[]): LogEntry<'job-opened'> | null => {
  const [opening] = standingEntries(entries.filter((e) => e.kind === 'job-opened'))
  return opening?.kind === 'job-opened' ? opening : null
}

/** What a whole logbook tells. */
export const knownIn = (
  machine: Pick<MachineSnapshot, 'tag' | 'name' | 'area'>,
  entries: readonly LogEntry[],
): Known => ({
  opening: openingOf(entries),
  people: [...new Set(entries.map((e) => e.author))],
  words: new Set([wordsOfMachine(machine), ...entries.map(writtenIn)].flatMap(wordsIn)),
})

/** The same once more was written: what tells nothing new costs nothing, however long the logbook is. */
export const knownAfter = (before: Known, entries: readonly LogEntry[], news: readonly LogEntry[]): Known => {
  const words = news.flatMap((e) => wordsIn(writtenIn(e))).filter((w) => !before.words.has(w))
  const people = news.map((e) => e.author).filter((a) => !before.people.includes(a))
  return {
    opening: news.some((e) => e.kind === 'job-opened') ? openingOf(entries) : before.opening,
    people: people.length > 0 ? [...before.people, ...new Set(people)] : before.people,
    words: words.length > 0 ? new Set([...before.words, ...words]) : before.words,
  }
}
