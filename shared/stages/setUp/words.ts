import type { Mark } from '../../../core/logbook/stage'
import type { CoupledMachine } from '../../../core/register/machine'
import { METHOD_FORMS } from '../../methods/forms'
import type { NumberField } from '../../methods/form'
import { circleName } from '../../wording/readings'
import { capital, type Telling } from '../../wording/telling'
import type { SetUpBox, SetUpRead, SetUpTexts } from './form'

/** `Centre to inboard feet`, `Inboard to outboard feet`: a pair is taped from the one before it. */
export const footLabel = (at: number, machine: CoupledMachine, telling: Telling): string => {
  const { words, footNames } = telling
  const name = (i: number) => footNames(machine.feet.movable[i]?.id ?? '')
  const here = words.feet.feet(name(at))
  return at === 0 ? words.setUp.centreTo(here) : words.setUp.fromTo(capital(name(at - 1)), here)
}

/** The label of a number, with the word of how it is told. */
export const numberLabel = (
  field: NumberField,
  texts: Pick<SetUpTexts, 'toldSag' | 'toldCircle'>,
  { words: { setUp } }: Pick<Telling, 'words'>,
): string => {
  if (field.sag) return `${field.label}: ${setUp.sagTold[texts.toldSag]}`
  return field.circle ? `${field.label}, ${texts.toldCircle}` : field.label
}

export const returnLabel = (circle: string, telling: Telling): string =>
  telling.words.setUp.afterTurn(circleName(circle, telling))

/** A box as it stands in a sentence: what the brass button asks for next. */
export const boxName = (
  box: SetUpBox,
  { method }: Pick<SetUpTexts, 'method'>,
  machine: CoupledMachine,
  telling: Telling,
): string => {
  const [group, id = ''] = box.split('.')
  const w = telling.words.setUp
  switch (group) {
    case 'numbers':
      return (METHOD_FORMS[method].numbers.find((n) => n.id === id)?.label ?? id).toLowerCase()
    case 'feet':
      return footLabel(Number(id), machine, telling).toLowerCase()
    case 'returned':
      return w.afterTurn(circleName(id, telling).toLowerCase()).replace(',', '')
    case 'why':
      return w.whyUsed
    default:
      return w.oneGraduation
  }
}

/** What the set-up asks for now, in one sentence with its lozenge. */
export const meaningOfSetUp = (
  read: Pick<SetUpRead, 'missing' | 'missesZero'>,
  texts: Pick<SetUpTexts, 'method' | 'why'>,
  { words: { setUp: w } }: Pick<Telling, 'words'>,
): { readonly mark: Mark; readonly headline: string } => {
  const [gap] = read.missing
  if (read.missesZero) return { mark: 'out', headline: texts.why.trim() === '' ? w.whyNeeded : w.slipped }
  if (!gap) return { mark: 'done', headline: w.complete }
  const sag = METHOD_FORMS[texts.method].numbers.some((n) => n.sag && `numbers.${n.id}` === gap)
  return {
    mark: 'todo',
    headline: sag ? w.sagAsked : gap.startsWith('returned.') ? w.turnAsked : w.tapeAsked,
  }
}
