/** Every text of a document or a part of it, in order. */
export const textsOf = (node: unknown): string[] => {
  if (typeof node === 'string') return [node]
  if (Array.isArray(node)) return node.flatMap(textsOf)
  if (node && typeof node === 'object')
    return Object.entries(node).flatMap(([k, v]) =>
      ['text', 'stack', 'columns', 'table', 'body', 'ul', 'content'].includes(k) ? textsOf(v) : [],
    )
  return []
}
