import { foldJob, type Job } from '~~/core/jobs/jobs'
import { serverDoor } from '~/doors/serverDoor'

/** Past jobs folded on this device, by their ids; null for one that is asked for and not there yet. */
export const usePastJobs = (ids: () => readonly string[]) => {
  const door = serverDoor()
  const jobs = shallowRef<ReadonlyMap<string, Job>>(new Map())
  const failed = ref('')
  const fetchOne = async (id: string) => {
    try {
      const { machine, entries } = await door.load(id)
      jobs.value = new Map([...jobs.value, [id, foldJob(machine, entries)]])
    } catch (failure) {
      if (!(failure instanceof ApiFailure)) throw failure
      const kept = failure.passing ? await door.recall(id) : null
      if (kept) jobs.value = new Map([...jobs.value, [id, foldJob(kept.machine, kept.entries)]])
      else failed.value = failure.message
    }
  }
  watch(
    () => ids().join(),
    () => {
      failed.value = ''
      for (const id of ids()) if (id !== '' && !jobs.value.has(id)) void fetchOne(id)
    },
    { immediate: true },
  )
  const jobOf = (id: string): Job | null => jobs.value.get(id) ?? null
  return { jobOf, failed }
}
