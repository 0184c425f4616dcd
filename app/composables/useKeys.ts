import { STAGES } from '~~/core/logbook/entry'

/** The one keyboard map; `?` shows it. */
export const KEY_MAP: readonly { readonly keys: string; readonly does: string }[] = [
  { keys: '?', does: 'show this map' },
  { keys: '← →', does: 'walk the clock positions, in a reading box' },
  { keys: '↑ ↓', does: 'step a foot by real shims or graduations, on the plan' },
  { keys: '−', does: 'turn the sign, anywhere in a reading' },
  { keys: 'Enter', does: 'log it and go on' },
  { keys: 'u', does: 'switch units' },
  { keys: 'b', does: 'board or table' },
  { keys: '/', does: 'search the machines' },
  { keys: 'g t', does: 'go to Today' },
  { keys: 'g m', does: 'go to Machines' },
  { keys: 'g 1 … g 7', does: 'go to a stage of the job' },
]

/** What single keys ask of whoever is in view. */
export const useKeyEvents = () => ({
  mapOpen: useState('keys.map', () => false),
  /** Counts presses of b. */
  boardOrTable: useState('keys.table', () => false),
  /** The stage last asked for by g and a number, with a count so that asking twice tells. */
  stageAsked: useState<{ stage: (typeof STAGES)[number]; times: number } | null>('keys.stage', () => null),
  searchAsked: useState('keys.search', () => 0),
})

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

/** Listens for the map's single keys wherever nobody is typing. */
export const useKeys = () => {
  const session = useSession()
  const { mapOpen, boardOrTable, stageAsked, searchAsked } = useKeyEvents()
  let goPressedAt = 0

  useEventListener(document, 'keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const radio = event.target instanceof HTMLInputElement && event.target.type === 'radio'
    if (isTyping(event.target) && !radio) return
    const { key } = event
    if (performance.now() - goPressedAt < 1500) {
      goPressedAt = 0
      const stage = STAGES[Number(key) - 1]
      if (key === 't') void navigateTo('/')
      else if (key === 'm') void navigateTo('/machines')
      else if (stage) stageAsked.value = { stage, times: (stageAsked.value?.times ?? 0) + 1 }
      else return
      event.preventDefault()
      return
    }
    switch (key) {
      case 'g':
        goPressedAt = performance.now()
        return
      case '?':
        mapOpen.value = !mapOpen.value
        break
      case 'u':
        session.switchUnits()
        break
      case 'b':
        boardOrTable.value = !boardOrTable.value
        break
      case '/':
        searchAsked.value++
        void navigateTo('/machines')
        break
      default:
        return
    }
    event.preventDefault()
  })
}
