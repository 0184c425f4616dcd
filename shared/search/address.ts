import { FACETS, type Facet } from './search'

/** A search as somebody has it in view: words, days, and one value a facet. */
export interface SearchInView {
  words: string
  from: string
  to: string
  chosen: Partial<Record<Facet, string>>
}

export const blankSearch = (): SearchInView => ({ words: '', from: '', to: '', chosen: {} })

/** Whether nothing is looked for: every job is found. */
export const looksForAll = ({ words, from, to, chosen }: SearchInView): boolean =>
  words.trim() === '' && !from && !to && Object.values(chosen).every((v) => !v)

/** A search as an address has it behind its question mark; empty parts are left out. */
export const addressOf = ({ words, from, to, chosen }: SearchInView): string => {
  const parts = new URLSearchParams()
  if (words.trim()) parts.set('words', words.trim())
  for (const facet of FACETS) {
    const value = chosen[facet]
    if (value) parts.set(facet, value)
  }
  if (from) parts.set('from', from)
  if (to) parts.set('to', to)
  return parts.toString()
}

/** The search that an address has; what it does not know is left out. */
export const searchIn = (address: string): SearchInView => {
  const parts = new URLSearchParams(address)
  const chosen: Partial<Record<Facet, string>> = {}
  for (const facet of FACETS) {
    const value = parts.get(facet)
    if (value) chosen[facet] = value
  }
  return { words: parts.get('words') ?? '', from: parts.get('from') ?? '', to: parts.get('to') ?? '', chosen }
}
