/** Sends records one after another; what was taken, or where it stopped and why, is said in words. */
export const useTakeOver = <T>(of: {
  readonly send: (record: T) => Promise<unknown>
  readonly name: (record: T) => string
  /** `3 machines taken over.` */
  readonly taken: (n: number) => string
}) => {
  const said = ref('')
  const working = ref(false)
  /** True when all of them were taken. */
  const takeAll = async (records: readonly T[]): Promise<boolean> => {
    working.value = true
    let taken = 0
    try {
      for (const record of records) {
        await of.send(record)
        taken++
      }
      said.value = of.taken(taken)
      return true
    } catch (error) {
      if (!(error instanceof ApiFailure)) throw error
      const stopped = records[taken]
      said.value = `${of.taken(taken)} ${stopped ? of.name(stopped) : ''}: ${error.message}`
      return false
    } finally {
      working.value = false
    }
  }
  return { said, working, takeAll }
}
