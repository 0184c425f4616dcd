import { deviceStore } from './database'
import { allKeeps, jobsWaiting, letGo } from './keeps'

/** How much room the browser gives this program, in bytes, and whether it keeps it for good; null where it doesn't say. */
export interface Room {
  readonly used: number
  readonly all: number
  readonly lasting: boolean
}

/** The browser's store; an insecure origin has none to ask. */
const store = (): StorageManager | undefined => (navigator as Partial<Pick<Navigator, 'storage'>>).storage

export const roomLeft = async (): Promise<Room | null> => {
  const { usage, quota } =
    (await store()
      ?.estimate()
      .catch(() => null)) ?? {}
  if (usage === undefined || !quota) return null
  return {
    used: usage,
    all: quota,
    lasting:
      (await store()
        ?.persisted()
        .catch(() => false)) ?? false,
  }
}

/** Asks the browser to keep what is here when it runs short; whether it agreed. */
export const askToKeep = async (): Promise<boolean> =>
  (await store()
    ?.persist()
    .catch(() => false)) ?? false

/**
 * Takes all copies off this device, and the pictures seen on it. What waits to be sent stays, with the jobs it belongs to;
 * so does what is half typed.
 */
export const clearCopies = async (): Promise<void> => {
  const waiting = await jobsWaiting()
  for (const keep of await allKeeps()) if (!waiting.has(keep.id)) await letGo(keep)
  await (await deviceStore()).clear('copies')
  if ('caches' in window) await caches.delete('hc-photographs')
}
