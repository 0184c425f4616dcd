import { deviceStore } from '~/device/database'
import { reachable } from '~/device/reach'

/** How many results of practice wait on this device to be handed in. */
export const resultsWaiting = ref(0)

const count = async (): Promise<void> => {
  resultsWaiting.value = await (await deviceStore()).count('results')
}

/** Whether this result still waits here. */
export const waitsToBeHandedIn = async (id: string): Promise<boolean> =>
  (await deviceStore()
    .then((db) => db.count('results', id))
    .catch(() => 0)) > 0

/** Hands in what waits, one after the other; a result that the server will never take is let go of. */
export const sendResults = async (): Promise<void> => {
  const db = await deviceStore()
  for (const { id, body } of await db.getAll('results')) {
    try {
      await askServer('/api/practice/results', { method: 'POST', body })
    } catch (failure) {
      if (!(failure instanceof ApiFailure)) throw failure
      if (failure.passing || failure.status === 401) break
    }
    await db.delete('results', id)
  }
  await count()
}

/**
 * Hands in a result, or keeps it on the device until the server is back.
 * @returns Whether the server has it.
 * @throws ApiFailure when the server said no, or it can neither be sent nor kept.
 */
export const handIn = async (id: string, body: object): Promise<boolean> => {
  try {
    await askServer('/api/practice/results', { method: 'POST', body })
    return true
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || !failure.passing) throw failure
    await (
      await deviceStore()
    )
      .put('results', { id, body: JSON.parse(JSON.stringify(body)) })
      .catch(() => Promise.reject(failure))
    await count()
    return false
  }
}

/** Sends what waits whenever the server is there. For as long as the program is open. */
export const keepHandingIn = (): void => {
  const send = () => void sendResults().catch(() => null)
  send()
  watch(reachable, (now) => now && send())
}
