import type { CoupledState } from '../../core/jobs/coupled'
import { worthTelling, tryTarget } from '../../core/stages/target/target'
import { lineWords } from './directions'
import { hotAnsweredWords } from './en'
import { plainMeaning, type Meaning } from './meaning'
import { farEnd, type Telling } from './telling'

type Answer = NonNullable<CoupledState['hot']['run']['answered']>

/** What a hot check came to: the target it gave, or that the old one stays and why. */
export const meaningOfHotAnswer = (
  { hot, feet, tolerance }: Pick<CoupledState, 'hot' | 'feet' | 'tolerance'>,
  answer: Answer,
  telling: Telling,
): Meaning => {
  const w = hotAnsweredWords(telling.words)
  const { take, why, target } = answer.payload
  const verdict = hot.judgement?.verdict ?? 'unknown'
  const mark = verdict === 'unknown' ? 'done' : verdict
  if (take === 'new') {
    const line = worthTelling(tryTarget(target).line, tolerance)
    return plainMeaning(mark, w.tookNew(lineWords(line, farEnd(feet.movable, telling), telling)))
  }
  return plainMeaning(mark, why === '' ? w.keptOld : w.keptWhy(why))
}
