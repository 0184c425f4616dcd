import type { JobSummary, Page } from '~~/shared/api/answers'

/** A list of jobs that goes on page by page: the first page as it came, and those asked for behind it. */
export const useMoreJobs = (first: () => Page<JobSummary> | null, path: () => string) => {
  const later = shallowRef<readonly JobSummary[]>([])
  const next = ref<string | null>(null)
  const asking = ref(false)
  const failed = ref('')
  watch(
    first,
    (page) => {
      later.value = []
      next.value = page?.next ?? null
    },
    { immediate: true },
  )
  const jobs = computed(() => [...(first()?.rows ?? []), ...later.value])
  const more = async () => {
    if (!next.value || asking.value) return
    asking.value = true
    failed.value = ''
    try {
      const page = await askServer<Page<JobSummary>>(`${path()}&after=${encodeURIComponent(next.value)}`)
      later.value = [...later.value, ...page.rows]
      next.value = page.next
    } catch (failure) {
      failed.value = failure instanceof ApiFailure ? failure.message : String(failure)
    } finally {
      asking.value = false
    }
  }
  return { jobs, next, more, asking, failed }
}
