import { defineStore } from 'pinia'
import type { LogEntry } from '~~/core/logbook/entry'
import type { EntryAnswer } from '~~/shared/api/answers'

interface Waiting {
  readonly jobId: string
  readonly entry: LogEntry
}

interface TurnedDown extends Waiting {
  readonly message: string
}

const RETRY_MS = [500, 1000, 2000, 4000, 8000]

/**
 * Entries on their way to the server. They are kept on the device until the server has them, and
 * are sent in order; a UUID posted twice is harmless, so a lost answer costs nothing.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = useLocalStorage<Waiting[]>('hc.outbox', [])
  const turnedDown = useLocalStorage<TurnedDown[]>('hc.turned-down', [])
  const reachable = ref(true)
  const received = shallowRef<{ jobId: string; entry: LogEntry } | null>(null)
  let sending = false
  let attempt = 0

  const send = async () => {
    if (sending) return
    sending = true
    try {
      for (let next = waiting.value[0]; next; next = waiting.value[0]) {
        try {
          const { receivedAt: _, ...draft } = next.entry
          const answer = await askServer<EntryAnswer>(`/api/jobs/${next.jobId}/entries`, {
            method: 'POST',
            body: draft,
          })
          received.value = { jobId: next.jobId, entry: answer.entry }
        } catch (failure) {
          if (!(failure instanceof ApiFailure) || failure.passing) {
            reachable.value = false
            setTimeout(() => void send(), RETRY_MS[Math.min(attempt++, RETRY_MS.length - 1)])
            return
          }
          turnedDown.value = [...turnedDown.value, { ...next, message: failure.message }]
        }
        reachable.value = true
        attempt = 0
        const gone = next.entry.id
        waiting.value = waiting.value.filter((w) => w.entry.id !== gone)
      }
    } finally {
      sending = false
    }
  }

  const post = (jobId: string, entry: LogEntry) => {
    waiting.value = [...waiting.value, { jobId, entry }]
    void send()
  }

  const forget = (id: string) => (turnedDown.value = turnedDown.value.filter((t) => t.entry.id !== id))

  return { waiting, turnedDown, reachable, received, send, post, forget }
})
