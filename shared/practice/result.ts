import { z } from 'zod'
import { BENCH_FAULTS } from '../../core/practice/faults'
import { HANDS } from '../../core/practice/hands'
import { LESSON_IDS } from '../../core/practice/lessons'
import { HABITS } from '../../core/practice/habits'
import { notNegative, oneOf } from '../calculation/fields'
import { issue, type Thing } from '../issue'
import { moment, text, uuid, words } from '../text'

const count = (what: Thing) =>
  z
    .int({ error: issue('number', what) })
    .min(0, { error: issue('zero-or-more', what) })
    .max(10_000, { error: issue('too-large', what) })
const flag = z.boolean({ error: issue('yes-or-no') })
const listOf = <S extends z.ZodType>(of: S, most: number) =>
  z.array(of, { error: issue('practice-as-a-list') }).max(most, { error: issue('practice-as-a-list') })

/** What a try came to, as it is handed in: counts and verdicts, no readings and no name of a fault that was not hidden. */
export const practiceResult = z.object({
  id: uuid('results-id'),
  person: uuid('who-it-is'),
  /** Null in free practice. */
  lesson: oneOf('which-lesson', LESSON_IDS).nullable(),
  machine: words('machine-name', 120),
  seed: z
    .int({ error: issue('number', 'seed') })
    .min(0, { error: issue('zero-or-more', 'seed') })
    .max(2 ** 31, { error: issue('too-large', 'seed') }),
  hands: oneOf('which-hands', HANDS),
  faults: listOf(z.object({ fault: oneOf('which-fault', BENCH_FAULTS), cured: flag }), 20),
  verdict: oneOf('how-it-ended', ['in', 'edge', 'out']),
  moves: count('moves-made'),
  fewest: count('moves-made'),
  asked: count('hints-asked'),
  /** Told what it is: it counts as found with help. */
  helped: flag,
  minutes: notNegative('minutes-at-the-bench'),
  habits: listOf(z.object({ habit: oneOf('which-habit', HABITS), well: flag }), 400),
  passed: count('moments-passed'),
  finishedAt: moment,
})
export type PracticeResult = z.infer<typeof practiceResult>

const day = z.iso.date({ error: issue('day', 'lesson-due') })

/** A lesson as a lead sets it. */
export const practiceTask = z.object({
  id: uuid('results-id'),
  by: uuid('who-it-is'),
  lesson: oneOf('which-lesson', LESSON_IDS),
  until: day,
  note: text('note', 200),
})
export type PracticeTask = z.infer<typeof practiceTask>
/** A lesson taken back. */
export const droppedTask = z.object({ by: uuid('who-it-is') })
/** Whose practice is asked for. */
export const practiceQuery = z.object({ person: uuid('who-it-is') })

/** What the practice room shows somebody. */
export interface PracticeAnswer {
  /** Their own results, the newest first. */
  readonly own: readonly PracticeResult[]
  readonly tasks: readonly PracticeTask[]
  /** Everybody's, for a lead; null for anyone else. */
  readonly all: readonly PracticeResult[] | null
}
