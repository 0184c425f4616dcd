import type { Misalignment } from '../frame/planes'
import type { EntryBody, LogEntry } from '../logbook/entry'
import { readByMethod } from '../simulate/methodReadings'
import { SAFETY_POINTS, type SafetyPoint } from '../stages/makeSafe/entries'
import { PROOF_POINTS } from '../stages/prove/entries'
import { settleSetUp } from '../stages/setUp/setUp'
import { fromCore } from '../units/unitSystem'

/** A logbook under construction of a machine measured at its coupling. */
export class TestLogbook {
  readonly entries: LogEntry[] = []
  /** What its lockout asks for, and where its dials are read. */
  protected readonly points: readonly SafetyPoint[] = SAFETY_POINTS
  protected readonly clocks: readonly number[] = [0, 90, 180, 270]
  private next = 1

  add(
    body: EntryBody,
    more: Partial<Pick<LogEntry, 'supersedes' | 'after' | 'before' | 'author'>> = {},
  ): LogEntry {
    const entry = {
      ...body,
      id: `entry-${this.next++}`,
      author: 'someone',
      madeAt: `2026-01-01T08:${String(this.next % 60).padStart(2, '0')}:00.000Z`,
      receivedAt: null,
      after: this.entries[this.entries.length - 1]?.id ?? null,
      before: null,
      supersedes: null,
      ...more,
    } satisfies LogEntry
    this.entries.push(entry)
    return entry
  }

  open(rpm = 990): this {
    this.add({ kind: 'job-opened', payload: { reason: 'planned', rpm, customer: '', note: '' } })
    return this
  }

  lockOut(permit = ''): this {
    for (const point of this.points) this.add({ kind: 'safety-confirmed', payload: { point, permit } })
    return this
  }

  /** Nothing to see or grease, the coupling made up and left unread, everything tight, guard on. */
  prove(gap: number | null = null): this {
    this.add({ kind: 'rotation-seen', payload: { seen: 'not-needed', words: '' } })
    this.add({ kind: 'coupling-made-up', payload: { units: 'inch', gap } })
    for (const point of PROOF_POINTS)
      this.add({
        kind: 'proof-confirmed',
        payload: { point, how: point === 'read-coupled' ? 'not-here' : 'done', words: '' },
      })
    return this
  }

  /** What the dials of the last set-up read off a machine that stands like `truth` (mil, mil/in). */
  readingsOf(truth: Misalignment): Extract<EntryBody, { kind: 'readings-taken' }>['payload'] {
    const last = [...this.entries].reverse().find((e) => e.kind === 'set-up')
    if (last?.kind !== 'set-up') throw new Error('not set up')
    const { how, circles } = settleSetUp(last)
    const line: Misalignment = {
      offset: { v: (truth.offset.v ?? 0) * 0.0254, h: (truth.offset.h ?? 0) * 0.0254 },
      slope: { v: (truth.slope.v ?? 0) / 1000, h: (truth.slope.h ?? 0) / 1000 },
    }
    const read = Object.fromEntries(
      Object.entries(readByMethod(how, line, this.clocks)).map(([circle, list]) => [
        circle,
        list.map((r) => ({ clock: r.clock, value: fromCore(r.value, 'displacement', 'inch') })),
      ]),
    )
    return { units: 'inch', circles: read, returned: Object.fromEntries(circles.map((c) => [c, 0])) }
  }

  /** One set read off a machine that stands like `truth`; `misread` spoils a reading of the last circle. */
  read(
    truth: Misalignment,
    misread?: { readonly clock: number; readonly by: number },
    supersedes: LogEntry['supersedes'] = null,
  ): LogEntry<'readings-taken'> {
    const payload = this.readingsOf(truth)
    const names = Object.keys(payload.circles)
    const last = names[names.length - 1] as string
    const circles = {
      ...payload.circles,
      [last]: (payload.circles[last] ?? []).map((r) =>
        r.clock === misread?.clock ? { ...r, value: r.value + misread.by } : r,
      ),
    }
    const entry = this.add({ kind: 'readings-taken', payload: { ...payload, circles } }, { supersedes })
    if (entry.kind !== 'readings-taken') throw new Error(entry.kind)
    return entry
  }
}
