import type { Random } from '../../core/random/random'
import { pick } from './fromSchema'

const STRANGE: readonly unknown[] = [
  null,
  -1,
  0,
  1e308,
  -1e308,
  5e-324,
  1e-14,
  -273.16,
  3.0000001,
  2 ** 53,
  '',
  'x'.repeat(3000),
  '\u0000',
  '\ud800',
  '1; drop table entries',
  '__proto__',
  true,
  [],
  {},
  [[[[[[]]]]]],
  { __proto__: { units: 'inch' } },
  '2026-13-45T99:99:99Z',
  '../../etc/passwd',
  'NaN',
]

type Holder = Record<string | number, unknown>

/** Every place in a value: its holder and its name there. */
const placesOf = (value: unknown): { readonly holder: Holder; readonly key: string }[] => {
  if (typeof value !== 'object' || value === null) return []
  const holder = value as Holder
  return Object.keys(holder).flatMap((key) => [{ holder, key }, ...placesOf(holder[key])])
}

/** The value with a few of its places made strange: taken out, swapped, put far off, doubled. */
export const spoiled = (value: unknown, random: Random): unknown => {
  const copy: unknown = structuredClone(value)
  const times = 1 + Math.floor(random() * 3)
  for (let n = 0; n < times; n++) {
    const places = placesOf(copy)
    if (places.length === 0) return structuredClone(pick(random, STRANGE))
    const { holder, key } = pick(random, places)
    const was = holder[key]
    const way = random()
    if (way < 0.2 && !Array.isArray(holder)) Reflect.deleteProperty(holder, key)
    else if (way < 0.45 && typeof was === 'number')
      holder[key] = was * pick(random, [-1, 0, 1e-9, 10, 1e6, 25.4])
    else if (way < 0.55 && Array.isArray(was)) holder[key] = [...was, ...was, ...was] as unknown
    else if (way < 0.65 && Array.isArray(was)) holder[key] = was.slice(0, 1) as unknown
    else if (way < 0.7) holder.extra = 'unasked'
    else holder[key] = structuredClone(pick(random, STRANGE))
  }
  return copy
}

/** Text that is nearly JSON. */
export const tornText = (text: string, random: Random): string => {
  const at = Math.floor(random() * text.length)
  return pick(random, [
    text.slice(0, at),
    `${text}}`,
    text.replace('"', "'"),
    text.replace(':', '::'),
    `${'['.repeat(5000)}`,
    `${text.slice(0, at)}\u0000${text.slice(at)}`,
    '\ufeff' + text,
    '',
  ])
}
