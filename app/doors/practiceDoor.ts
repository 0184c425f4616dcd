import { composeEntry } from '~/device/composeEntry'
import type { LogEntry } from '~~/core/logbook/entry'
import type { Door, Hears, InstrumentDoor, OpenedJob } from './door'

/** The bench: a simulated job on this device, which no server has and no machine's record keeps. */
export const practiceDoor = (): Door => {
  const practice = usePractice()
  const session = useSession()
  let heard: (entry: LogEntry) => void = () => {}
  let silence = () => {}
  let ask: InstrumentDoor | null = null
  const speak = async (hears: Hears) => {
    const { benchInstruments, speakFromBench } = await import('./benchInstruments')
    silence()
    silence = speakFromBench(hears)
    ask = benchInstruments()
  }
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
    listen: (_, hears) => {
      heard = hears.entry
      // Heads speak; dials show a needle and are read by eye.
      const stop = watch(
        () => practice.coupled?.now.mount?.method === 'heads',
        (heads) => heads && void speak(hears),
        { immediate: true },
      )
      return () => {
        heard = () => {}
        stop()
        silence()
      }
    },
    call: () => Promise.resolve(false),
    get instruments() {
      return ask
    },
  }
}
