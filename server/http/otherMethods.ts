import { ROUTES } from '../../shared/api/routes'

/** Methods that the contract has at a path, upper case; empty when nothing is there. */
export const methodsAt = (path: string): readonly string[] => {
  const parts = (path.split('?')[0] ?? '').split('/')
  return Object.values(ROUTES).flatMap((route) => {
    const pattern = route.path.split('/')
    const fits =
      pattern.length === parts.length &&
      pattern.every((p, i) => (p.startsWith('{') ? parts[i] !== '' : p === parts[i]))
    return fits ? [route.method.toUpperCase()] : []
  })
}
