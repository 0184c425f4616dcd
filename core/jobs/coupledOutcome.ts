import type { ExceptionReason, Outcome } from '../stages/close/closing'
import type { Measurement } from '../stages/measure/measurement'
import type { Proof } from '../stages/prove/checkProof'
import type { CoupledState } from './coupled'

type Seen = Pick<CoupledState, 'moves' | 'latest' | 'asLeft' | 'roughIn' | 'hot' | 'proof'>

/** Where the axis was left by the rounds alone, and why that needs a word. */
export const outcomeOfRounds = ({
  moves,
  latest,
  asLeft,
}: {
  readonly moves: readonly unknown[]
  readonly latest: Measurement
  readonly asLeft: Measurement | null
}): Outcome => {
  const verdict = asLeft?.judgement?.verdict ?? 'unknown'
  const exceptions: ExceptionReason[] = []
  if (!asLeft) exceptions.push('unmeasured')
  else if (moves.length > 0 && latest.coupling === null) exceptions.push('moved-since')
  if (latest.trust === 'doubtful') exceptions.push('doubtful')
  if (asLeft && verdict === 'out') exceptions.push('out')
  if (asLeft && verdict === 'edge') exceptions.push('edge')
  if (asLeft && verdict === 'unknown') exceptions.push('unknown')
  return { verdict, exceptions }
}

/** Where the axis was left, and why that needs a word. */
const outcomeOfLine = ({ moves, latest, asLeft, roughIn, hot }: Seen): Outcome => {
  // A visit for the hot check alone is proved by it.
  if (!asLeft && moves.length === 0 && hot.judgement && hot.run.answered) {
    const { verdict } = hot.judgement
    const doubt: readonly ExceptionReason[] = hot.measurement.trust === 'doubtful' ? ['doubtful'] : []
    return { verdict, exceptions: verdict === 'in' ? doubt : [...doubt, verdict] }
  }
  // A small coupling whose maker asks for straightedge and feelers only is proved by them.
  if (!asLeft && moves.length === 0 && roughIn.proves)
    return { verdict: roughIn.latest?.verdict ?? 'unknown', exceptions: [] }
  return outcomeOfRounds({ moves, latest, asLeft })
}

/** What the proof found that needs a word. */
export const exceptionsOfProof = ({ strain, facts }: Proof): readonly ExceptionReason[] => [
  ...(strain?.strained ? (['strained'] as const) : []),
  ...(facts.rotation?.payload.seen === 'wrong' ? (['turns-wrong'] as const) : []),
]

/** What a coupled job comes to when it is closed now. */
export const outcomeOf = (state: Seen): Outcome => {
  const { verdict, exceptions } = outcomeOfLine(state)
  return { verdict, exceptions: [...exceptions, ...exceptionsOfProof(state.proof)] }
}
