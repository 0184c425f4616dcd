import type { Lift } from '../../logbook/lift'
import { liftMovableAlone } from '../movableAlone'

/** The sets a plan came from were not kept then. */
const withoutSets: Lift = (old) => ({ ...(liftMovableAlone(old) as object), sets: null })

export const planLifts = { 'plan-chosen': [withoutSets] }
