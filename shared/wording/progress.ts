import type { StageId } from '../../core/logbook/entry'
import type { JobState } from '../../core/logbook/foldJob'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure } from './figures'
import { SAFETY_NAMES, TRUST_NAMES, VERDICT_NAMES } from './names'

/** The next step of an open job as lists show it. */
export const NEXT_STEPS: Readonly<Record<StageId, string>> = {
  'make-safe': 'Lock out and confirm it',
  'set-up': 'Set up the dials',
  'as-found': 'Read as found, and repeat',
  plan: 'Choose the move',
  move: 'Make the move',
  're-measure': 'Measure again',
  close: 'Close and sign',
}

const time = (iso: string) => {
  const at = new Date(iso)
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
}

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six']
const setsWords = (count: number) => `${COUNTS[count] ?? count} ${count === 1 ? 'set' : 'sets'}`

/** One line of what a stage found, for the run sheet. Empty while there is nothing to say. */
export const findingOf = (state: JobState, stage: StageId, units: UnitSystem): string => {
  if (state.skipped[stage] !== undefined && state.stages[stage].mark === 'skipped')
    return `Passed over: ${state.skipped[stage]}`
  switch (stage) {
    case 'make-safe': {
      const { confirmed, missing, powerBack } = state.safety
      if (powerBack !== null) return 'Power came back: confirm again'
      if (confirmed.length === 0) return ''
      if (missing.length > 0)
        return `Next: ${SAFETY_NAMES[missing[0] as keyof typeof SAFETY_NAMES].name.toLowerCase()}`
      return `Locked out ${time(confirmed[confirmed.length - 1]?.at ?? '')}`
    }
    case 'set-up': {
      const s = state.setUp
      if (!s) return ''
      if (!s.holdsZero) return 'A dial misses zero after a turn'
      return `Rim and face, sag ${figure(s.rim.sag, 'displacement', units)}`
    }
    case 'as-found':
    case 're-measure': {
      const m =
        stage === 'as-found' ? state.measurements[0] : state.moves.length > 0 ? state.latest : undefined
      if (!m || m.sets.length === 0) return ''
      if (m.trust === 'agreed')
        return `${setsWords(m.used.length)} agree: ${VERDICT_NAMES[m.judgement?.verdict ?? 'unknown'].toLowerCase()}`
      return `${setsWords(m.sets.length)}. ${TRUST_NAMES[m.trust]}`
    }
    case 'plan': {
      if (state.plan) {
        const feet = state.plan.footwork.moves.map((m) => figure(m.v, 'displacement', units, { sign: true }))
        return `Shims ${feet.join(' / ')}`
      }
      return ''
    }
    case 'move':
      return state.moves.length === 0
        ? ''
        : state.moves.length === 1
          ? 'One move made'
          : `${state.moves.length} moves made`
    case 'close':
      return state.closed ? `Signed by ${state.closed.payload.signedBy}` : ''
  }
}
