import { farEnd, type Telling } from './telling'
import type { TrainState } from '../../core/jobs/train'
import type { Looks } from '../../core/stages/look/looks'
import { atCloseWords, placesWords, proofStepsWords, provisionalWords } from './en'
import type { Proof } from '../../core/stages/prove/checkProof'
import { goWords } from './directions'
import type { CoupledState } from '../../core/jobs/coupled'

export const openSteps = (proof: Proof, { words }: Pick<Telling, 'words'>): string =>
  proof.rows
    .filter((r) => r.stands === 'todo')
    .map((r) => proofStepsWords(words)[r.step].name.toLowerCase())
    .join(', ')

/** What the signer should know of the opened machine: pins that are out, places to report. */
export const openAtClose = (looks: Looks, { words }: Telling): readonly string[] => {
  const w = atCloseWords(words)
  const reported = looks.places.filter((p) => p.entry?.payload.found === 'to-report')
  return [
    ...(looks.pinsOut ? [w.pinsOut] : []),
    ...reported.map((p) => w.report(placesWords(words)[p.place].name, p.entry?.payload.words ?? '')),
  ]
}

/** What nobody has confirmed when the job is to be signed. */
export const unprovedAtClose = (
  { proof, skips }: Pick<CoupledState, 'proof' | 'skips'>,
  { words }: Pick<Telling, 'words'>,
): readonly string[] => {
  const open = openSteps(proof, { words })
  return open === '' || skips.once.has('prove') ? [] : [atCloseWords(words).unproved(open)]
}

/** The same of every machine and coupling of a line, each by its name. */
export const trainOpenAtClose = (train: TrainState, telling: Telling): readonly string[] => {
  const named = (part: { readonly name: string }, lines: readonly string[]) =>
    lines.map((line) => `${part.name}: ${line}`)
  return [
    ...train.machines.flatMap(({ part, state }) => named(part, openAtClose(state.looks, telling))),
    ...train.couplings.flatMap(({ part, state }) =>
      named(part, [
        ...unprovedAtClose(state, telling),
        ...provisionalAtClose(state, telling.of(part.machine)),
      ]),
    ),
  ]
}

/** What stands open at the close: nobody knows yet whether it runs straight. */
export const provisionalAtClose = (
  { expected, feet }: Pick<CoupledState, 'expected' | 'feet'>,
  telling: Telling,
): readonly string[] => {
  const w = provisionalWords(telling.words)
  return expected
    ? [`${w.provisional} ${w.expected(goWords(expected, farEnd(feet.movable, telling), telling))}`]
    : []
}
