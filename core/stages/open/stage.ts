import { defineStage } from '../../logbook/stage'
import { overdueIn, type Kit } from './kit'
import type { Opening } from './opening'

interface Sees {
  readonly opening: Opening
  readonly kit: Kit
}

/** Why the job is done, for whom, and with which tools and instruments. It never calls for hands by itself. */
export const openStage = defineStage({
  id: 'open',
  writes: ['tools-taken'],
  skip: 'never',
  mark: ({ opening, kit }: Sees) => (kit && overdueIn(kit).length > 0 ? 'stale' : opening ? 'done' : 'todo'),
  wants: () => false,
})
