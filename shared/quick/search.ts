import { quickWords } from '../wording/viewWords'
import type { QuickGroup, QuickSumId } from '../wording/en/sums'

export interface FoundSum {
  readonly id: QuickSumId
  readonly group: QuickGroup
  readonly ask: string
}

/** Questions that have all the words that were typed, in themselves or in their cousins; own words first. */
export const findSums = (text: string): readonly FoundSum[] => {
  const parts = text.toLowerCase().split(/\s+/).filter(Boolean)
  const all = Object.entries(quickWords.sums) as [QuickSumId, (typeof quickWords.sums)[QuickSumId]][]
  const found = all.flatMap(([id, { group, ask, also }]) => {
    const own = ask.toLowerCase()
    const cousins = `${own} ${also} ${id}`.toLowerCase()
    if (!parts.every((p) => cousins.includes(p))) return []
    return [{ id, group, ask, inAsk: parts.filter((p) => own.includes(p)).length }]
  })
  return found.sort((a, b) => b.inAsk - a.inAsk).map(({ id, group, ask }) => ({ id, group, ask }))
}
