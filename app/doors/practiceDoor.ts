import { composeEntry } from '~/device/composeEntry'
import type { LogEntry } from '~~/core/logbook/entry'
import type { Door, OpenedJob } from './door'

/** The bench: a simulated job on this device, which no server has and no machine's record keeps. */
export const practiceDoor = (): Door => {
  const practice = usePractice()
  const session = useSession()
  let heard: (entry: LogEntry) => void = () => {}
  const opened = (): OpenedJob => {
    const { record } = practice
    if (!record) throw outOfReach()
    return {
      machine: record.machine,
      entries: practice.entries,
      previous: null,
      left: null,
      drive: null,
      leavesBefore: [],
    }
  }
  const add = (entry: LogEntry) => {
    practice.write(entry)
    heard(entry)
  }
  return {
    load: async (job) => {
      await practice.load(job)
      return opened()
    },
    recall: () => Promise.resolve(null),
    post: (_, entry) => {
      add(entry)
      // The checks keep quiet: what fails one is used all the same, and said at the review.
      const doubted = practice.quietlyUsed(entry)
      if (doubted)
        add(
          composeEntry(
            { kind: 'set-used-anyway', payload: { set: doubted, why: practice.quietWhy } },
            practice.entries,
            session.authorId,
          ),
        )
    },
    listen: (_, hear) => {
      heard = hear
      return () => (heard = () => {})
    },
    call: () => Promise.resolve(false),
  }
}
