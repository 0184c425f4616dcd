import { ROUTES } from '../../shared/api/routes'

interface Route {
  readonly method: string
  readonly path: string
  readonly takes?: readonly string[]
}

/** Routes of the contract at a path, and the sums, whose path names the operation. */
const routesAt = (path: string): readonly Route[] => {
  const parts = (path.split('?')[0] ?? '').split('/')
  const all: readonly Route[] = [...Object.values(ROUTES), { method: 'post', path: '/api/calc/{operation}' }]
  return all.filter((route) => {
    const pattern = route.path.split('/')
    return (
      pattern.length === parts.length &&
      pattern.every((p, i) => (p.startsWith('{') ? parts[i] !== '' : p === parts[i]))
    )
  })
}

/** Methods that the contract has at a path, upper case; empty when nothing is there. */
export const methodsAt = (path: string): readonly string[] => [
  ...new Set(routesAt(path).map((route) => route.method.toUpperCase())),
]

/** Kinds of file that a route takes instead of JSON; none but where the contract says so. */
export const takenAt = (method: string, path: string): readonly string[] =>
  routesAt(path).find((route) => route.method.toUpperCase() === method)?.takes ?? []

/** The route a request takes, by its pattern; null where it takes none. */
export const routeAt = (method: string, path: string): string | null =>
  routesAt(path).find((route) => route.method.toUpperCase() === method)?.path ?? null
