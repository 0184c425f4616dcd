import type { Turning } from '../../core/coupling/dialSet'
import type { MethodGiven, UsualPlaces } from '../../core/methods/methods'
import { usualSetUp as usualMethod } from '../../core/methods/usualSetUp'

/** The method a machine of the demo is usually measured by, with this bar sag. Throws for one that has no instrument. */
export const usualSetUp = (usual: UsualPlaces, sag: number, turning: Turning): MethodGiven => {
  const how = usualMethod(usual, { sag, turning })
  if (!how) throw new Error(`The demo sets no machine up by ${usual.method}.`)
  return how
}
