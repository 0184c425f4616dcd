import { defineStage } from '../../logbook/stage'
import type { ColdTarget } from './target'

interface Sees {
  readonly coldTarget: ColdTarget
}

/** Where the machine is to stand cold. It never calls for hands: most machines are set straight. */
export const targetStage = defineStage({
  id: 'target',
  writes: ['target-set'],
  skip: 'once',
  mark: ({ coldTarget }: Sees) => (coldTarget.from === 'none' ? 'todo' : 'done'),
  wants: () => false,
})
