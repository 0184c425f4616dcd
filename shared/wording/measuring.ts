import { measuringWords } from './en'
import type { MeasuredState } from '../../core/jobs/measured'
import type { Measurement } from '../../core/stages/measure/measurement'
import { movableName } from './machineNames'
import { plainMeaning, type Meaning } from './meaning'
import { meaningOfReadings } from './readings'
import type { Telling } from './telling'

/** Stages that have readings typed into them. */
export type MeasuringStage = 'as-found' | 're-measure' | 'prove' | 'hot-check'

/** What was read at one of them; undefined after a move that was not made. */
export const measurementAt = (state: MeasuredState, stage: MeasuringStage): Measurement | undefined => {
  switch (stage) {
    case 'as-found':
      return state.measurements[0]
    case 're-measure':
      return state.moves.length > 0 ? state.latest : undefined
    case 'prove':
      return state.proof.measurement
    case 'hot-check':
      return 'hot' in state ? state.hot.measurement : undefined
  }
}

/** What a stage of measuring says once readings are wanted at it. */
export const meaningOfMeasuring = (
  state: MeasuredState,
  stage: MeasuringStage,
  telling: Telling,
): Meaning => {
  const w = measuringWords(telling.words)
  const m = measurementAt(state, stage)
  if (!state.setUp) return plainMeaning('todo', w.setUpFirst, w.setUpFirstDetail)
  if (!m) return plainMeaning('todo', w.nothingMoved, w.nothingMovedDetail)
  return meaningOfReadings(m, movableName(state), state.setUp, telling)
}
