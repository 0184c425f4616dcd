import type { LogEntry } from '../../core/logbook/entry'
import type { Role } from '../../core/logbook/may'
import type { Person } from '../../shared/register/works'
import { peopleWords } from '../../shared/wording/en'
import { OWN_END } from '../../shared/wording/words'

/** A logbook to print, and what its writers are called by their ids. */
interface Called {
  readonly entries: readonly LogEntry[]
  readonly people: Readonly<Record<string, string>>
}

/** Everybody by name. */
export const withNames = (entries: readonly LogEntry[], people: readonly Person[]): Called => ({
  entries,
  people: Object.fromEntries(people.map((p) => [p.id, p.name])),
})

/**
 * Everybody by what they are, counted in the order they first wrote; who signed by the same, and without the hand of
 * whoever signed for the customer. What people wrote in remarks stays as they wrote it.
 */
export const withoutNames = (entries: readonly LogEntry[], people: readonly Person[]): Called => {
  const roles = peopleWords(OWN_END).roles
  const roleOf = new Map<string, Role>(people.map((p) => [p.id, p.role]))
  const called: Record<string, string> = {}
  const counted = new Map<string, number>()
  for (const id of entries.flatMap((e) => (e.second ? [e.author, e.second] : [e.author]))) {
    if (called[id] !== undefined) continue
    const role = roles[roleOf.get(id) ?? 'millwright']
    const n = (counted.get(role) ?? 0) + 1
    counted.set(role, n)
    called[id] = `${role} ${n}`
  }
  return {
    people: called,
    entries: entries.map((e) =>
      e.kind === 'job-closed'
        ? {
            ...e,
            payload: { ...e.payload, signedBy: called[e.second ?? e.author] ?? '', customer: null },
          }
        : e,
    ),
  }
}
