/** Something half typed that outlives a reload: kept on the device under this job and name. */
export const useDraft = <T extends object>(name: string, blank: () => T) => {
  const job = useJob()
  // Written at once: logging leaves the stage in the same moment, and a cleared form must stay cleared.
  const kept = useLocalStorage<T>(`hc.draft2.${job.id}.${name}`, blank(), {
    deep: true,
    mergeDefaults: true,
    flush: 'sync',
  })
  const clear = () => {
    kept.value = blank()
  }
  return { draft: kept, clear }
}
