import { liftMovableAlone } from '../movableAlone'

export const moveLifts = { 'move-made': [liftMovableAlone] }
