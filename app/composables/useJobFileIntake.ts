import type { JobFileAnswer } from '~~/shared/api/answers'
import { jobFileWords } from '~~/shared/wording/en/jobFile'

/** A job out of its file: the server says what it would do, and does it when it is told to. */
export const useJobFileIntake = () => {
  const w = jobFileWords(useWords())
  const text = ref('')
  const would = shallowRef<JobFileAnswer | null>(null)
  const ask = (write: boolean) =>
    askServer<JobFileAnswer>(`/api/files/job?write=${write ? 'yes' : 'no'}`, {
      method: 'POST',
      file: new Blob([text.value], { type: 'application/json' }),
      seconds: 45,
    })
  const wanted = computed(() =>
    would.value && would.value.is !== 'same' ? would.value.entries : (would.value?.photographs ?? 0),
  )
  /** What it would do, in sentences. */
  const says = computed(() => {
    const a = would.value
    if (!a) return []
    const is = a.is === 'same' ? w.is.same(a.tag) : w.is[a.is](a.tag, a.entries)
    return [
      is,
      ...(a.is === 'new' ? [w.machine[a.machine](a.tag)] : []),
      ...(a.people.length > 0 ? [w.people(a.people)] : []),
      ...(a.photographs > 0 ? [w.photographs(a.photographs)] : []),
      ...(a.otherwise > 0 ? [w.otherwise(a.otherwise)] : []),
    ]
  })
  const clear = () => {
    would.value = null
    text.value = ''
  }
  const look = async (chosen: string) => {
    text.value = chosen
    would.value = await ask(false)
  }
  const take = async () => {
    await ask(true)
    return w.done
  }
  return { says, wanted, clear, look, take }
}
