import type { Meaning } from './meaning'
import { openingWords, reasonsWords, placesWords } from './en'
import dayjs from 'dayjs'
import type { CoupledState } from '../../core/jobs/coupled'
import type { MeasuredMachine } from '../../core/register/measuredMachine'
import { overdueIn } from '../../core/stages/open/kit'
import type { TakenInstrument } from '../../core/stages/open/entries'
import type { Tool } from '../../core/tools/toolsToTake'
import { figure, thickness, UNIT_NAMES } from './figures'
import type { Telling } from './telling'

const day = (due: string) => dayjs(due).format('D MMM YYYY')

type Seen = Pick<CoupledState, 'opening' | 'kit' | 'rpm'> & { readonly machine: Pick<MeasuredMachine, 'rpm'> }

/** `Dial 3 (calibrated until 2026-10-12, run out)`. */
export const instrumentWords = (
  { name, due }: Pick<TakenInstrument, 'name' | 'due'>,
  overdue: boolean,
  { words }: Telling,
): string => {
  const w = openingWords(words).kit
  return due === null ? w.noDate(name) : overdue ? w.ranOut(name, day(due)) : w.holds(name, day(due))
}

/** A thing to take along, with what makes it the right one. */
export const toolWords = ({ id, count, size, leaves, parts }: Tool, { words, units }: Telling): string => {
  const w = openingWords(words).tools
  const name = w.names[id]
  if (leaves)
    return w.leaves(name, leaves.map((t) => thickness(t, units)).join(', '), UNIT_NAMES[units].displacement)
  if (parts) return w.parts(name, parts.map((p) => placesWords(words)[p].name.toLowerCase()).join(', '))
  if (size !== undefined)
    return w.sizes[id === 'bracket' ? 'reach' : 'long'](name, figure(size, 'distance', units, { unit: true }))
  return count === undefined ? name : w.counted(name, count)
}

/** The opening in one sentence: an overdue instrument first, then a speed that isn't the register's. */
export const meaningOfOpening = ({ opening, kit, machine, rpm }: Seen, { words }: Telling): Meaning => {
  const w = openingWords(words).headlines
  if (!opening) return { mark: 'todo', headline: w.notOpen, detail: '' }
  const differs = rpm === machine.rpm ? '' : w.otherSpeed(rpm, machine.rpm)
  const [first] = kit ? overdueIn(kit) : []
  if (first) return { mark: 'stale', headline: w.overdue(first.name, day(first.due ?? '')), detail: differs }
  if (!kit)
    return {
      mark: 'done',
      headline: w.opened(reasonsWords(words)[opening.payload.reason]),
      detail: differs || w.pack,
    }
  return {
    mark: 'done',
    headline: w.taken(kit.payload.tools.length, kit.payload.instruments.length),
    detail: differs,
  }
}
