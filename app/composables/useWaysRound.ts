import { measuringWords } from '~~/shared/wording/en'
import type { ReadingBox, Way } from '~~/shared/stages/measure/form'
import { wayOf } from '~~/shared/stages/measure/form'
import { sheetOrder } from '~~/shared/stages/measure/sheetOrder'
import { useKeyEvents } from '~/composables/useKeys'

/** How a set is taken round the clock: the ways on offer, a list of one's own, figures from a paper sheet. */
export const useWaysRound = (reading: ReturnType<typeof useReadingForm>) => {
  const telling = useTelling()
  const { boardOrTable } = useKeyEvents()
  const { form, circles, reads } = reading
  const ways = computed(() => {
    const v = measuringWords(telling.value.words).view
    const names: Readonly<Record<string, string>> = reads.value === 'dials' ? v.ways : v.waysFelt
    return Object.entries(names).map(([value, name]) => ({ value, name }))
  })
  /** A list of one's own was asked for, though its positions may still be those of a named way. */
  const listing = ref(false)
  const way = computed(() => (listing.value ? 'list' : (wayOf(form.value) ?? 'list')))
  const take = (chosen: string) => {
    listing.value = chosen === 'list'
    if (chosen !== 'list') reading.take(chosen as Way)
    else boardOrTable.value = false
  }
  /** A list of one's own is zeroed once, where it starts. */
  const setPositions = (clocks: number[]) => {
    if (form.value.zeroedTwice) reading.take('four')
    form.value.positions = clocks
  }
  const paperOrder = computed(() => sheetOrder(circles.value, form.value.positions, reads.value))
  const fillFromPaper = (figures: readonly { readonly box: ReadingBox; readonly text: string }[]) => {
    for (const { box, text } of figures)
      if (box.clock === null) form.value.returned[box.circle] = text
      else reading.setText(box.circle, box.clock, text)
  }
  return { ways, way, listing, take, setPositions, paperOrder, fillFromPaper }
}
