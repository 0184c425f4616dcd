import { ref } from 'vue'

/** Whether the server answered when it was last asked: by the outbox, a view, or the line of a job. */
export const reachable = ref(true)

/** Answers that stand for a server that can't do its work now, as its database or what lies before it is away. */
const AWAY = [502, 503, 504]

/** Notes what came of a request; 0 where nothing answered. */
export const heard = (status: number): void => {
  reachable.value = status !== 0 && !AWAY.includes(status)
}
