import { doorWords } from '~~/shared/wording/en'
import type { Job } from '~~/core/jobs/jobs'
import { serverDoor } from '~/doors/serverDoor'
import { loadKind } from '~/jobs/kinds'

/** Past jobs folded on this device, by their ids; null for one that is asked for and not there yet. */
export const usePastJobs = (ids: () => readonly string[]) => {
  const door = serverDoor()
  const words = useWords()
  const said = doorWords(words)
  const jobs = shallowRef<ReadonlyMap<string, Job>>(new Map())
  const failed = ref('')
  const fetchOne = async (id: string) => {
    const loaded = await door.load(id).catch(async (failure: unknown) => {
      if (!(failure instanceof ApiFailure)) throw failure
      const kept = failure.passing ? await door.recall(id) : null
      if (!kept) failed.value = failure.message
      return kept
    })
    if (!loaded) return
    const kind = await loadKind(loaded.machine).catch(() => null)
    if (kind) jobs.value = new Map([...jobs.value, [id, kind.fold(loaded.machine, loaded.entries)]])
    else failed.value = said.outOfReach
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
