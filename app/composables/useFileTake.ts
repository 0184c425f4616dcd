/**
 * A dialog that reads records out of a file beside those that are known, says what is wrong with them, and takes over
 * what is new or changed.
 */
export const useFileTake = <Read extends object, T>(of: {
  readonly shown: Ref<boolean>
  readonly read: (text: string) => Read
  /** What of it is to be taken over. */
  readonly wanted: (read: Read) => readonly T[]
  readonly send: (record: T) => Promise<unknown>
  readonly name: (record: T) => string
  readonly taken: (n: number) => string
  /** Some were taken, or all. */
  readonly done: () => void
}) => {
  const read = shallowRef<Read | null>(null)
  const { said, working, takeAll } = useTakeOver<T>(of)
  useOnShown(of.shown, () => {
    read.value = null
    said.value = ''
  })
  const look = (text: string) => {
    said.value = ''
    read.value = of.read(text)
  }
  const wanted = computed(() => (read.value ? of.wanted(read.value) : []))
  const take = async () => {
    if (await takeAll(wanted.value)) read.value = null
    of.done()
  }
  return { read, look, wanted, take, said, working }
}
