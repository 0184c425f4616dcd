import type { TableRow, TablesAnswer } from '~~/shared/api/answers'
import { momentWords } from '~~/shared/wording/days'
import { reasonsWords } from '~~/shared/wording/en'
import { jobTableWords } from '~~/shared/wording/en/jobTable'

/** Jobs, readings, moves and belts out of CSV: the server says what they would do, and does it when it is told to. */
export const useTablesIntake = () => {
  const session = useSession()
  const words = useWords()
  const w = jobTableWords(words)
  const tables = shallowRef<readonly string[]>([])
  const answer = shallowRef<TablesAnswer | null>(null)
  const ask = (write: boolean) =>
    askServer<TablesAnswer>(`/api/files/tables?write=${write ? 'yes' : 'no'}`, {
      method: 'POST',
      body: { person: session.authorId, tables: tables.value },
      seconds: 45,
    })
  const wanted = computed(() => answer.value?.rows.filter((r) => r.is === 'new').length ?? 0)
  const does = ({ is, before, table }: TableRow): string => {
    if (is !== 'new') return w.does[is]
    if (before !== null) return w.does.before(momentWords(before, { words }))
    return table === 'jobs' ? w.does.opens : w.does.new
  }
  const rows = computed(() =>
    (answer.value?.rows ?? []).map((r) => ({
      what:
        r.reason === null
          ? w.counted[r.table](r.counted)
          : w.jobFor(reasonsWords(words)[r.reason].toLowerCase()),
      tag: r.tag,
      job: r.job,
      made: r.madeAt === null ? '' : momentWords(r.madeAt, { words }),
      by: r.by,
      does: does(r),
      is: r.is,
    })),
  )
  const clear = () => {
    answer.value = null
    tables.value = []
  }
  const look = async (chosen: readonly string[]) => {
    tables.value = chosen
    answer.value = await ask(false)
  }
  /** What was done, in a sentence; what was not stays in view. */
  const take = async () => {
    const done = await ask(true)
    answer.value = done.faults.length > 0 ? { ...done, rows: [] } : null
    return w.done(done.taken)
  }
  return { answer, rows, wanted, clear, look, take }
}
