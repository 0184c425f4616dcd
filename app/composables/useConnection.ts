import { deviceHeadWords, shellWords } from '~~/shared/wording/en'
import { momentWords } from '~~/shared/wording/days'
import { gate } from '~/people/gate'

/** How this device stands with the server, in a few words; calm when nothing is amiss. */
export const useConnection = () => {
  const outbox = useOutbox()
  const session = useSession()
  const words = useWords()
  const w = deviceHeadWords(words)
  const said = shellWords(words).connection
  const waiting = computed((): string => {
    const n = outbox.waiting.length
    if (n === 0) return ''
    if (gate.asksFor.value) return w.forPin(n, session.personName(gate.asksFor.value))
    return outbox.reachable ? '' : w.waiting(n, momentWords(outbox.since ?? Date.now(), { words }))
  })
  const short = computed((): string => {
    if (outbox.turnedDown.length > 0) return said.needsAWord
    if (waiting.value) return waiting.value
    if (outbox.waiting.length > 0) return said.sending
    return outbox.reachable ? said.saved : said.outOfReach
  })
  return { short, waiting }
}
