import { defineStore } from 'pinia'
import type { EntryBody, LogEntry } from '~~/core/logbook/entry'
import { foldJob } from '~~/core/logbook/foldJob'
import type { JobAnswer } from '~~/shared/api/answers'
import type { MachineSnapshot } from '~~/shared/register/machine'

/**
 * The job in view: its machine, the entries the server has, those still on their way, and the
 * draft being typed. Everything shown is folded from these; nothing else is kept.
 */
export const useJob = defineStore('job', () => {
  const session = useSession()
  const outbox = useOutbox()

  const id = ref('')
  const machine = shallowRef<MachineSnapshot | null>(null)
  const received = shallowRef<readonly LogEntry[]>([])
  const failure = shallowRef<ApiFailure | null>(null)
  /** The unsaved entry, appended so that each digit shows its result at once. */
  const draft = shallowRef<LogEntry | null>(null)
  let stream: EventSource | null = null

  const onTheWay = computed(() =>
    outbox.waiting
      .filter((w) => w.jobId === id.value && !received.value.some((e) => e.id === w.entry.id))
      .map((w) => w.entry),
  )
  const logbook = computed(() => [...received.value, ...onTheWay.value])
  const state = computed(() => (machine.value ? foldJob(machine.value, logbook.value) : null))
  const live = computed(() =>
    machine.value && draft.value ? foldJob(machine.value, [...logbook.value, draft.value]) : state.value,
  )
  const saved = computed(() => onTheWay.value.length === 0)

  const take = (entry: LogEntry) => {
    if (!received.value.some((e) => e.id === entry.id)) received.value = [...received.value, entry]
  }

  watch(
    () => outbox.received,
    (news) => {
      if (news && news.jobId === id.value) take(news.entry)
    },
    { flush: 'sync' },
  )

  const load = async () => {
    const wanted = id.value
    try {
      const answer = await askServer<JobAnswer>(`/api/jobs/${wanted}`)
      if (wanted !== id.value) return
      machine.value = answer.machine
      received.value = answer.entries
      failure.value = null
      keep(answer)
    } catch (error) {
      if (!(error instanceof ApiFailure)) throw error
      if (!machine.value) {
        const kept = recall(wanted)
        if (kept && error.passing) {
          machine.value = kept.machine
          received.value = kept.entries
        } else failure.value = error
      }
      if (error.passing) setTimeout(() => wanted === id.value && void load(), 2000)
    }
  }

  const listen = () => {
    stream?.close()
    stream = new EventSource(`/api/jobs/${id.value}/stream`)
    let dropped = false
    stream.addEventListener('entry', (message) =>
      take(JSON.parse((message as MessageEvent<string>).data) as LogEntry),
    )
    stream.addEventListener('error', () => {
      dropped = true
    })
    stream.addEventListener('open', () => {
      // What came in while the line was down is fetched; the stream alone would miss it.
      if (dropped) void load()
      dropped = false
      outbox.reachable = true
    })
  }

  const open = async (jobId: string) => {
    const fresh = id.value !== jobId && !localStorage.getItem(keptUnder(jobId))
    if (id.value !== jobId) {
      id.value = jobId
      machine.value = null
      received.value = []
      draft.value = null
    }
    failure.value = null
    await Promise.all([load(), session.meetPeople().catch(() => null)])
    // The first time on this device a job opens in the units its machine is kept in; later, as left.
    if (fresh && machine.value) session.switchUnits((machine.value as MachineSnapshot).units)
    if (machine.value) listen()
  }

  const leave = () => {
    stream?.close()
    stream = null
    draft.value = null
  }

  /** An entry as this person would write it now. */
  const compose = (body: EntryBody, supersedes: LogEntry['supersedes'] = null): LogEntry => ({
    id: crypto.randomUUID(),
    author: session.authorId,
    madeAt: new Date().toISOString(),
    receivedAt: null,
    supersedes,
    ...body,
  })

  /** Logs an entry: shown at once, sent when the server can be reached. */
  const log = (body: EntryBody, supersedes: LogEntry['supersedes'] = null) => {
    draft.value = null
    const entry = compose(body, supersedes)
    outbox.post(id.value, entry)
    return entry
  }

  return { id, machine, state, live, logbook, failure, draft, saved, open, load, leave, compose, log }
})

const keptUnder = (jobId: string) => `hc.job.${jobId}`

/** The last copy of a job stays on the device, so that a reload without the server still opens it. */
const keep = (answer: JobAnswer) => {
  try {
    localStorage.setItem(keptUnder(answer.id), JSON.stringify(answer))
  } catch {
    // A full device store costs the offline copy only.
  }
}

const recall = (jobId: string): JobAnswer | null => {
  const kept = localStorage.getItem(keptUnder(jobId))
  return kept ? (JSON.parse(kept) as JobAnswer) : null
}
