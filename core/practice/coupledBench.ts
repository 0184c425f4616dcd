import { COUPLED_STAGES, type CoupledStageId } from '../jobs/coupled'
import { settleSetUp } from '../stages/setUp/setUp'
import type { ActRefusal, BenchAct } from './acts'
import { drawBench, type Bench } from './bench'
import { freshBench, type BenchState } from './benchState'
import { actRefusal, afterAct } from './doAct'
import { stateOf } from './stateOf'
import type { KindOfBench } from './kindOfBench'
import { movesMade } from './movesMade'

/** Whether a set-up puts other instruments on the shafts than stand there: sag and signs are only told. */
const standsOtherwise = (how: NonNullable<BenchState['mount']>, mount: BenchState['mount']): boolean => {
  const stands = (m: BenchState['mount']) => {
    if (m?.method === 'rim-face')
      return [
        m.method,
        m.given.rim.carriedBy,
        m.given.rim.turning,
        ...m.given.faces.map((f) => f.plunger),
      ].join()
    if (m?.method === 'reverse-rim') return [m.method, m.given.onStationary.turning].join()
    return m?.method ?? ''
  }
  return stands(how) !== stands(mount)
}

const isStage = (id: string): id is CoupledStageId => COUPLED_STAGES.some((s) => s.id === id)

/** A coupled machine on the bench. */
export const COUPLED_BENCH: KindOfBench<'coupled', Bench, BenchState, BenchAct, ActRefusal> = {
  drive: 'coupled',
  draw: drawBench,
  fresh: freshBench,
  refusal: actRefusal,
  after: afterAct,
  opening: async (bench, from) => {
    const { openingActs, openingEntries } = await import('./opening')
    return {
      entries: openingEntries(bench, isStage(from) ? from : 'make-safe'),
      acts: openingActs(bench),
    }
  },
  along: (_, now, entry) => {
    if (entry.kind !== 'set-up') return null
    const { how } = settleSetUp(entry)
    return standsOtherwise(how, now.mount) ? { act: 'mount', how } : null
  },
  refusedSet: ({ setting }, entries, entry) => {
    if (entry.kind !== 'readings-taken') return null
    const { latest } = stateOf(setting.machine, entries)
    const there = latest.sets.some((s) => s.set.entry.id === entry.id)
    return there && latest.trust === 'doubtful' ? entry.id : null
  },
  moves: movesMade,
}
