import { quickWords } from '../wording/viewWords'

/** A property's name as a person reads it: its own words, else the name taken apart. */
export const labelOf = (key: string): string => {
  const own = quickWords.labels as Readonly<Record<string, string>>
  if (Object.hasOwn(own, key)) return own[key] as string
  const apart = key
    .replace(/[-_]/g, ' ')
    .replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`)
  return apart.charAt(0).toUpperCase() + apart.slice(1)
}

/** A word of the contract as a person reads it. */
export const choiceWords = (value: string): string => {
  const own = quickWords.choices as Readonly<Record<string, string>>
  return Object.hasOwn(own, value) ? (own[value] as string) : value.replace(/-/g, ' ')
}
