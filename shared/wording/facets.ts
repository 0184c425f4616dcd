import type { Facet } from '../search/search'
import { capital } from './capital'
import { reasonsWords, verdictsWords } from './en'
import { logbookSearchWords } from './en/logbookSearch'
import type { Words } from './words'

/** A value that jobs can be narrowed down to, as people call it; persons by `nameOf`. */
export const facetValueWords = (
  facet: Facet,
  value: string,
  words: Words,
  nameOf: (person: string) => string,
): string => {
  const w = logbookSearchWords(words)
  const among = (list: Readonly<Record<string, string>>) => list[value] ?? value
  switch (facet) {
    case 'state':
      return among(w.states)
    case 'verdict':
      return among(verdictsWords(words)).toLowerCase()
    case 'kind':
      return among(w.kinds)
    case 'reason':
      return among(reasonsWords(words)).toLowerCase()
    case 'cause':
      return among(w.causes)
    case 'exception':
      return w.yes
    case 'machine':
      return value.toUpperCase()
    case 'person':
      return nameOf(value)
    case 'area':
    case 'customer':
      return capital(value)
  }
}
