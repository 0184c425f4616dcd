/** The key after g that opens the stage at this place of the sheet: 1 to 9, 0, then letters but m and t. */
export const stageKey = (at: number): string => '1234567890abcdefhijklnopqrsuvwxyz'.charAt(at)

/** What single keys ask of whoever is in view. */
export const useKeyEvents = () => ({
  mapOpen: useState('keys.map', () => false),
  /** Counts presses of b. */
  boardOrTable: useState('keys.table', () => false),
  /** The place on the sheet last asked for by g and a key, with a count so that asking twice tells. */
  stageAsked: useState<{ at: number; times: number } | null>('keys.stage', () => null),
  searchAsked: useState('keys.search', () => 0),
})

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))

/** A dialog or drawer is open: it holds the keys. */
const dialogOpen = (): boolean =>
  [...document.querySelectorAll<HTMLElement>('.el-overlay, [role="dialog"]')].some(
    (el) => el.offsetParent !== null || el.getClientRects().length > 0,
  )

/** Listens for the map's single keys wherever nobody is typing and no dialog is open. */
export const useKeys = () => {
  const session = useSession()
  const route = useRoute()
  const { mapOpen, boardOrTable, stageAsked, searchAsked } = useKeyEvents()
  let goPressedAt = 0

  useEventListener(document, 'keydown', (event) => {
    if (event.ctrlKey || event.metaKey || event.altKey || dialogOpen()) return
    const radio = event.target instanceof HTMLInputElement && event.target.type === 'radio'
    if (isTyping(event.target) && !radio) return
    const { key } = event
    if (goPressedAt > 0 && performance.now() - goPressedAt < 1500) {
      goPressedAt = 0
      const at = [...Array(33).keys()].findIndex((i) => stageKey(i) === key)
      if (key === 't') void navigateTo('/')
      else if (key === 'm') void navigateTo('/machines')
      else if (at >= 0) stageAsked.value = { at, times: (stageAsked.value?.times ?? 0) + 1 }
      else return
      event.preventDefault()
      return
    }
    switch (key) {
      case 'g':
        goPressedAt = performance.now()
        return
      case '?':
        mapOpen.value = true
        break
      case 'u':
        session.switchUnits()
        break
      case 'b':
        boardOrTable.value = !boardOrTable.value
        break
      case '/':
        searchAsked.value++
        if (!['/sums', '/logbook'].some((p) => route.path.startsWith(p))) void navigateTo('/machines')
        break
      default:
        return
    }
    event.preventDefault()
  })
}
