/** Something half typed that outlives a reload: kept on the device under this job and name. */
export const useDraft = <T extends object>(name: string, blank: () => T) => {
  const job = useJob()
  // Each part of a train has boxes of its own.
  const key = `hc.draft2.${job.id}.${job.part ? `${job.part}.` : ''}${name}`
  // Written at once: logging leaves the stage in the same moment, and a cleared form must stay cleared.
  const kept = useLocalStorage<T>(key, blank(), {
    deep: true,
    mergeDefaults: true,
    flush: 'sync',
  })
  // It writes the first change of a moment only: what changed with it is written when the moment is over.
  watch(
    kept,
    (now) => {
      const text = JSON.stringify(now)
      if (localStorage.getItem(key) !== text) localStorage.setItem(key, text)
    },
    { deep: true, flush: 'post' },
  )
  const clear = () => {
    kept.value = blank()
  }
  return { draft: kept, clear }
}
