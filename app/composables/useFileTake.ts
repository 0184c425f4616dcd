/**
 * A dialog that reads records out of a file beside those that are known, says what is wrong with them, and takes over
 * what is new or changed.
 */
export const useFileTake = <Read extends object, T>(of: {
  readonly shown: Ref<boolean>
  readonly words: {
    readonly title: string
    readonly hint: string
    readonly choose: string
    readonly take: (n: number) => string
    readonly taken: (n: number) => string
  }
  readonly read: (text: string) => Read
  /** What of it is to be taken over. */
  readonly wanted: (read: Read) => readonly T[]
  readonly send: (record: T) => Promise<unknown>
  readonly name: (record: T) => string
  /** What is wrong in it, by its place. */
  readonly faults: (read: Read) => readonly { readonly at: string; readonly message: string }[]
  /** Some were taken, or all. */
  readonly done: () => void
}) => {
  const read = shallowRef<Read | null>(null)
  const { said, working, takeAll } = useTakeOver<T>({ ...of, taken: of.words.taken })
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
  /** The dialog that does it: FileIntake. */
  const intake = computed(() => ({
    title: of.words.title,
    hint: of.words.hint,
    choose: of.words.choose,
    faults: read.value && of.faults(read.value),
    wanted: wanted.value.length,
    take: of.words.take(wanted.value.length),
    said: said.value,
    working: working.value,
    onRead: look,
    onTake: take,
  }))
  return { read, wanted, intake }
}
