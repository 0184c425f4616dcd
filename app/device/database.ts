import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { Copy } from './copies'
import type { Keep } from './keeps'

/** What the server said against an entry; its queue halts there until a person settles it. */
export interface TurnedDown {
  readonly status: number
  readonly code: string
  readonly message: string
}

/** One row an entry on its way, or the opening of a job made on this device. */
export interface OutboxRow {
  /** Order of writing on this device. */
  readonly n?: number
  readonly job: string
  /** The id of the entry. */
  readonly id: string
  /** As the server takes it: an entry on the wire. */
  readonly entry: { readonly id: string; readonly kind: string } & Readonly<Record<string, unknown>>
  /** Only for an opening: which machine. */
  readonly machine: string | null
  readonly turnedDown: TurnedDown | null
}

/** A photograph that waits for its entry. */
export interface KeptPhotograph {
  readonly id: string
  readonly job: string
  readonly jpeg: Blob
}

interface Schema extends DBSchema {
  outbox: { key: number; value: OutboxRow; indexes: { job: string } }
  /** The last copy of each job, as the server answered it. */
  jobs: { key: string; value: { readonly id: string } }
  /** Photographs taken on this device, until the server has the entry that shows them. */
  photographs: { key: string; value: KeptPhotograph; indexes: { job: string } }
  /** Tries on the bench: this device's own until their results are handed in. */
  practice: { key: string; value: { readonly id: string } }
  /** Machines, works and people, as the server last answered them. */
  copies: { key: string; value: Copy }
  /** Results of practice that the server has not been given yet. */
  results: { key: string; value: { readonly id: string; readonly body: unknown } }
  /** Jobs and machines that stay on this device, and since when. */
  keeps: { key: string; value: Keep }
}

let opened: Promise<IDBPDatabase<Schema>> | null = null

/** The device's own store; one for the whole program. */
export const deviceStore = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('hushed-caliper', 4, {
    upgrade: (db, from) => {
      if (from < 1) {
        db.createObjectStore('outbox', { keyPath: 'n', autoIncrement: true }).createIndex('job', 'job')
        db.createObjectStore('jobs', { keyPath: 'id' })
      }
      if (from < 2) db.createObjectStore('photographs', { keyPath: 'id' }).createIndex('job', 'job')
      if (from < 3) db.createObjectStore('practice', { keyPath: 'id' })
      db.createObjectStore('copies', { keyPath: 'path' })
      db.createObjectStore('keeps', { keyPath: 'key' })
      db.createObjectStore('results', { keyPath: 'id' })
      // Copies without their times, of the versions before: asked for again.
      const old = db as unknown as IDBDatabase
      if (old.objectStoreNames.contains('answers')) old.deleteObjectStore('answers')
    },
    blocking: (_current, _blocked, event) => {
      opened = null
      ;(event.target as IDBDatabase).close()
    },
    terminated: () => (opened = null),
  }))
