import type { TrainParts } from '../train/parts'
import { onceEach } from './changes'
import type { PairMoved } from './jobHistory'

/** What was done at each pair of a train, by machine: what was written at a coupling is told of the machine it moved. */
export const movedInTrain = (moved: readonly PairMoved[], parts: TrainParts): readonly PairMoved[] => {
  const pairs = new Map<string, PairMoved>()
  for (const m of moved) {
    const part = m.unit === null ? undefined : parts.byId.get(m.unit)
    const unit = part ? part.roles[m.machine] : m.unit
    const flip = part?.mirrored === true
    const own: PairMoved = {
      ...m,
      machine: 'movable',
      unit,
      raised: flip ? { left: m.raised.right, right: m.raised.left } : m.raised,
      pushed: flip && m.pushed !== 0 ? -m.pushed : m.pushed,
    }
    const key = `${unit ?? ''} ${m.pair}`
    const was = pairs.get(key)
    pairs.set(
      key,
      was
        ? {
            ...was,
            raised: {
              left: was.raised.left + own.raised.left,
              right: was.raised.right + own.raised.right,
            },
            pushed: was.pushed + own.pushed,
            by: own.by.reduce(onceEach, was.by),
          }
        : own,
    )
  }
  return [...pairs.values()]
}
