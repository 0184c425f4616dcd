/** A value with its keys in order and nothing that is undefined: two ways to write one thing become the same. */
export const inOrder = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(inOrder)
  if (typeof value !== 'object' || value === null) return value
  const entries = Object.entries(value).filter(([, v]) => v !== undefined)
  return Object.fromEntries(entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([k, v]) => [k, inOrder(v)]))
}
