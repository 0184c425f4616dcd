import type { RouteName } from '../../shared/api/access'
import { ROUTES } from '../../shared/api/routes'

interface Route {
  readonly name: RouteName | null
  readonly method: string
  readonly path: string
  readonly takes?: readonly string[]
}

const ALL: readonly Route[] = [
  ...Object.entries(ROUTES).map(([name, contract]) => ({ ...contract, name: name as RouteName })),
  { name: null, method: 'post', path: '/api/calc/{operation}' },
]

/** Routes of the contract at a path, and the sums, whose path names the operation. */
const routesAt = (path: string): readonly Route[] => {
  const parts = (path.split('?')[0] ?? '').split('/')
  return ALL.filter((route) => {
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

/** The name of the route a request takes; null where it takes none, or works out a sum. */
export const routeNameAt = (method: string, path: string): RouteName | null =>
  namedFirst(routesAt(path).filter((r) => r.method.toUpperCase() === method))?.name ?? null

/** Where one path is spelt out and another takes anything in its place, the one that is spelt out is meant. */
const namedFirst = (routes: readonly Route[]): Route | undefined =>
  [...routes].sort((a, b) => a.path.split('{').length - b.path.split('{').length)[0]
