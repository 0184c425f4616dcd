import { ref } from 'vue'

/** Whether the server answered when it was last asked: by the outbox, a view, or the line of a job. */
export const reachable = ref(true)

/** It is there and can't do its work now: busy, or its database is away. */
export const cannotAnswer = ref(false)

/** Answers that stand for a server that can't do its work now, as its database or what lies before it is away. */
const AWAY = [502, 503, 504]
/** The one of them that the server itself gives. A device's own worker gives 504 where nothing answered. */
const BUSY = 503

/** Notes what came of a request; 0 where nothing answered. */
export const heard = (status: number): void => {
  cannotAnswer.value = status === BUSY
  reachable.value = status !== 0 && !AWAY.includes(status)
}
