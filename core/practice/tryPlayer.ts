import type { EntryBody, LogEntry } from '../logbook/entry'
import type { PracticeStep } from './steps'

/** Somebody at a bench, for tests: what they did and wrote down, a second between two steps. */
export class TryPlayer {
  readonly steps: PracticeStep[] = []
  readonly entries: LogEntry[] = []

  protected clock(): string {
    return new Date(Date.UTC(2026, 0, 1, 8, 0, this.steps.length)).toISOString()
  }

  write(body: EntryBody, supersedes: LogEntry['supersedes'] = null): LogEntry {
    const entry = {
      ...body,
      id: `entry-${String(this.entries.length + 1)}`,
      author: 'apprentice',
      madeAt: this.clock(),
      receivedAt: null,
      after: this.entries[this.entries.length - 1]?.id ?? null,
      before: null,
      supersedes,
    } satisfies LogEntry
    this.entries.push(entry)
    this.steps.push({ at: this.clock(), entry })
    return entry
  }
}
