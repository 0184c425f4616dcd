import type { GearState } from '../../core/jobs/gear'
import type { Band } from '../../core/judge/tolerance'
import { isWide, type Backlash } from '../../core/stages/backlash/read'
import type { LayersSeen } from '../../core/stages/contact/contact'
import { backlashWindow, type GearMachine } from '../../core/register/gearMachine'
import { backlashWords } from './en'
import { figure, thickness, UNIT_NAMES } from './figures'
import { percentFigure } from './gearContact'
import { plainMeaning, type Meaning } from './meaning'
import { capital } from './capital'
import type { Telling } from './telling'

/** `18.0 mil at the tooth`. */
export const backlashFigure = (mm: number, { gear }: Pick<GearMachine, 'gear'>, telling: Telling): string =>
  `${figure(mm, 'displacement', telling.units, { unit: true })} ${backlashWords(telling.words).at[gear.backlash.by]}`

/** The window in words, in the units that are told. */
export const backlashWindowWords = ([low, high]: Band, { words, units }: Telling): string => {
  const w = backlashWords(words)
  const unit = UNIT_NAMES[units].displacement
  const own = (x: number) => thickness(x, units)
  if (low !== null && high !== null) return w.window(own(low), own(high), unit)
  if (low !== null) return w.atLeast(own(low), unit)
  return high === null ? w.noWindow : w.atMost(own(high), unit)
}

/** The window in figures alone: `10–16`, `≥ 10`. */
export const windowFigures = ([low, high]: Band, { units }: Pick<Telling, 'units'>): string => {
  const own = (x: number) => thickness(x, units)
  if (low !== null && high !== null) return `${own(low)}–${own(high)}`
  if (low !== null) return `≥ ${own(low)}`
  return high === null ? '–' : `≤ ${own(high)}`
}

/** Layers in or out, in words: `3 layers out`. */
export const layersWords = (n: number, { words }: Pick<Telling, 'words'>): string =>
  n < 0 ? backlashWords(words).layersOut(-n) : backlashWords(words).layersIn(n)

/** What is to be done under each block. */
export const layersToDo = ({ cure }: Pick<Backlash, 'cure'>, { words }: Pick<Telling, 'words'>): string => {
  const w = backlashWords(words)
  if (!cure || cure.layers === 0) return w.none
  return `${cure.layers < 0 ? w.out(-cure.layers) : w.into(cure.layers)}.`
}

/** What the backlash means, and what cures it. */
export const meaningOfBacklash = ({ backlash, contact, machine }: GearState, telling: Telling): Meaning => {
  const w = backlashWords(telling.words)
  const { now, cure, reads } = backlash
  if (!now) {
    if (reads.some((r) => r !== null)) return plainMeaning('stale', w.stale)
    const first = contact.now?.figures?.verdict === 'out'
    return plainMeaning('todo', first ? w.contactFirst : w.todo, first ? '' : w.todoDetail)
  }
  const window = `${capital(backlashWindowWords(backlashWindow(machine), telling))}.`
  const read = backlashFigure(now.worst, machine, telling)
  if (now.verdict !== 'out') return plainMeaning(now.verdict, w[now.verdict](read), window)
  const cured = cure && cure.verdict !== 'out'
  const apart = cure && cure.after.most - cure.after.least
  const [low, high] = backlashWindow(machine)
  const spread = apart !== null && low !== null && high !== null && apart > high - low
  return plainMeaning(
    'out',
    (isWide(now, machine) ? w.wide : w.tight)(read),
    [
      window,
      spread ? w.spread : '',
      !spread && cure && (cured || cure.layers !== 0) ? layersToDo(backlash, telling) : '',
      !spread && cure && cure.short > 0 ? w.short(cure.short) : '',
    ]
      .filter(Boolean)
      .join(' '),
  )
}

/** What layers did to the paint, round by round. */
export const layersSeenWords = ({ round, layers, went }: LayersSeen, telling: Telling): string =>
  backlashWords(telling.words).seen(
    round,
    layers.map((n) => layersWords(n, telling)).join(', '),
    `${percentFigure(went.together, true)} %`,
    `${percentFigure(went.apart, true)} %`,
  )
