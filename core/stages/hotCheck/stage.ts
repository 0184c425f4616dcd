import { conflict, defineStage, invalid } from '../../logbook/stage'
import type { HotCheck } from './hotCheck'
import { isUnderWay } from './hotRun'

/** Not in band as it runs: who leaves the target alone says why. */
export const keepingNeedsWhy = ({ judgement }: HotCheck): boolean =>
  judgement !== null && judgement.verdict !== 'in'

interface Sees {
  readonly hot: HotCheck
}

/** Run until it is warm, stopped, measured fast: is it straight when it works? Who has the turn meanwhile is `hotTurn`. */
export const hotCheckStage = defineStage({
  id: 'hot-check',
  writes: [
    'hot-run-begun',
    'temperatures-read',
    'hot-run-ended',
    'readings-taken',
    'set-used-anyway',
    'set-left-out',
    'hot-answered',
  ],
  skip: 'once',
  mark: ({ hot }: Sees) => {
    const verdict = hot.judgement?.verdict
    return verdict && verdict !== 'unknown' && hot.measurement.trust !== 'doubtful' ? verdict : 'todo'
  },
  wants: () => false,
  objection: ({ hot }, entry) => {
    const { run } = hot
    switch (entry.kind) {
      case 'hot-run-begun':
        return isUnderWay(run) ? conflict('hot-run-on') : null
      case 'hot-run-ended':
        if (!run.begun || run.ended) return conflict('no-hot-run')
        return Date.parse(entry.payload.at) < Date.parse(run.begun.payload.at)
          ? invalid('ended-before-begun', 'payload', 'at')
          : null
      case 'hot-answered':
        if (!isUnderWay(run) || !hot.hot) return conflict('hot-unmeasured')
        return entry.payload.take === 'old' && keepingNeedsWhy(hot) && entry.payload.why.trim() === ''
          ? invalid('keeping-needs-why', 'payload', 'why')
          : null
      default:
        return null
    }
  },
})
