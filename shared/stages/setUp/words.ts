import { feetWords, methodsWords, setUpWords } from '../../wording/en'
import type { Mark } from '../../../core/logbook/stage'
import type { MachineRole } from '../../../core/plan/pairNames'
import { METHOD_FORMS, type OfferedMethod } from '../../methods/forms'
import type { NumberField } from '../../methods/form'
import { circleName } from '../../wording/circles'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import type { SetUpPayload } from '../../../core/stages/setUp/entries'
import type { SurfaceRunout } from '../../../core/stages/level/runouts'
import { stillMachine } from '../../../core/stages/setUp/stillSurface'
import { flangeLabel } from './flangeTape'
import type { SetUpBox, SetUpContext, SetUpRead, SetUpTexts } from './form'

/** `Centre to inboard feet`, `Inboard to outboard feet`: a pair is taped from the one before it. */
export const footLabel = (at: number, machine: SetUpContext['machine'], telling: Telling): string => {
  const { words, footNames } = telling
  const pairs = machine.drive === 'flange' ? [] : machine.feet.movable
  const name = (i: number) => footNames(pairs[i]?.id ?? '')
  const here = feetWords(words).feet(name(at))
  if (at === 0 && machine.drive === 'drum') return setUpWords(words).rimDialTo(here)
  return at === 0 ? setUpWords(words).centreTo(here) : setUpWords(words).fromTo(capital(name(at - 1)), here)
}

const fieldLabel = (method: OfferedMethod, id: string, words: Telling['words']): string =>
  (methodsWords(words).labels[method] as Readonly<Record<string, string>>)[id] ?? id

/** The label of a number, with the word of how it is told. */
export const numberLabel = (
  field: NumberField,
  texts: Pick<SetUpTexts, 'method' | 'toldSag' | 'toldCircle'>,
  { words }: Pick<Telling, 'words'>,
): string => {
  const label = fieldLabel(texts.method, field.id, words)
  const { sagAs, circleAs, sagTold, circleTold } = setUpWords(words)
  if (field.sag) return sagAs(label, sagTold[texts.toldSag])
  return field.circle ? circleAs(label, circleTold[texts.toldCircle]) : label
}

/** The choices of a method with their words; the machines go by their own names. */
export const choiceRows = (
  method: OfferedMethod,
  machines: Readonly<Record<MachineRole, string>>,
  { words }: Pick<Telling, 'words'>,
  asked = METHOD_FORMS[method].choices,
) => {
  const named = { ...methodsWords(words).options, ...machines }
  return asked.map(({ id, options }) => ({
    id,
    label: fieldLabel(method, id, words),
    options: options.map((value) => ({ value, name: named[value] })),
  }))
}

export const returnLabel = (circle: string, telling: Telling): string =>
  setUpWords(telling.words).afterTurn(circleName(circle, telling))

/** A box as it stands in a sentence: what the brass button asks for next. */
export const boxName = (
  box: SetUpBox,
  { method, flange }: Pick<SetUpTexts, 'method'> & Partial<Pick<SetUpTexts, 'flange'>>,
  machine: SetUpContext['machine'],
  telling: Telling,
): string => {
  const [group, id = ''] = box.split('.')
  const w = setUpWords(telling.words)
  switch (group) {
    case 'numbers':
      return fieldLabel(method, id, telling.words).toLowerCase()
    case 'flange':
      return flangeLabel(id, flange?.told ?? 'circle', telling).toLowerCase()
    case 'feet':
      return footLabel(Number(id), machine, telling).toLowerCase()
    case 'returned':
      return w.afterTurn(circleName(id, telling).toLowerCase()).replace(',', '')
    case 'nudged':
      return id === 'own' ? w.nudged : w.nudgedOther
    case 'why':
      return w.whyUsed
    case 'turning':
      return w.view.turning.toLowerCase()
    default:
      return w.oneGraduation
  }
}

/** What is said of the hub that stands still while the other shaft turns; empty while both turn. */
export const stillHubWords = (
  texts: Pick<SetUpTexts, 'method' | 'turning' | 'markUp'>,
  turned: readonly SurfaceRunout[],
  payload: SetUpPayload | null,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = setUpWords(words).stillHub
  const still = stillMachine(texts.turning)
  if (!still || METHOD_FORMS[texts.method].reads !== 'dials') return ''
  if (texts.markUp !== '' && payload?.markUp !== undefined) {
    const given = payload.how.given
    const rims =
      'rim' in given ? [given.rim] : 'onStationary' in given ? [given.onStationary, given.onMovable] : []
    const faces = 'faces' in given ? given.faces : []
    const out = [
      ...(rims.some((m) => m.runout) ? [w.surfaces.rim] : []),
      ...(faces.some((m) => m.runout) ? [w.surfaces.face] : []),
    ]
    return w.takenOut(out.join(', '))
  }
  return turned.some((t) => t.machine === still && t.surface !== 'shaft') ? w.leftIn : w.unknown
}

/** What the set-up asks for now, in one sentence with its lozenge. */
export const meaningOfSetUp = (
  read: Pick<SetUpRead, 'missing' | 'missesZero'>,
  texts: Pick<SetUpTexts, 'method' | 'why'>,
  { words }: Pick<Telling, 'words'>,
): { readonly mark: Mark; readonly headline: string } => {
  const w = setUpWords(words)
  const [gap] = read.missing
  if (read.missesZero) return { mark: 'out', headline: texts.why.trim() === '' ? w.whyNeeded : w.slipped }
  if (!gap)
    return {
      mark: 'done',
      headline: METHOD_FORMS[texts.method].reads === 'dials' ? w.complete : w.completeStill,
    }
  if (gap === 'nudged.own') return { mark: 'out', headline: w.nudgeAgain }
  if (gap === 'turning') return { mark: 'out', headline: w.neverTravels }
  if (METHOD_FORMS[texts.method].numbers.some((n) => n.sag && `numbers.${n.id}` === gap))
    return { mark: 'todo', headline: w.sagAsked }
  if (!gap.startsWith('returned.')) return { mark: 'todo', headline: w.tapeAsked }
  return { mark: 'todo', headline: texts.method === 'heads' ? w.turnAskedHeads : w.turnAsked }
}
