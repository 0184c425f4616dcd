import { deviceStore } from './database'

/** An answer of the server as this device keeps it. */
export interface Copy {
  readonly path: string
  /** When it came, in milliseconds. */
  readonly at: number
  readonly answer: unknown
}

/** Keeps an answer; a full store costs only that. */
export const keepCopy = async (path: string, answer: unknown): Promise<void> => {
  await deviceStore()
    .then((db) => db.put('copies', { path, at: Date.now(), answer }))
    .catch(() => null)
}

/** What was kept of this path; undefined where nothing was. */
export const copyOf = (path: string): Promise<Copy | undefined> =>
  deviceStore()
    .then((db) => db.get('copies', path))
    .catch(() => undefined)
