import type { GearState } from '../../core/jobs/gear'
import { LEVERS } from '../../core/gear/levers'
import { figure, thickness, UNIT_NAMES } from './figures'
import { backlashWords, gearPrepareWords } from './en'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

/** What the pattern as found means. */
export const meaningOfPattern = ({ pattern, contact }: GearState, { words }: Telling): Meaning => {
  const w = gearPrepareWords(words).asFound
  if (!pattern)
    return contact.disturbed
      ? plainMeaning('todo', w.late, w.lateDetail)
      : plainMeaning('todo', w.todo, w.todoDetail)
  const { forward, back, photographs } = pattern.payload
  const verdict = contact.asFound?.figures?.verdict
  return plainMeaning(
    verdict ?? 'done',
    forward && back ? w.kept : w.keptOne,
    photographs.length === 0 ? w.noPhotograph : '',
  )
}

/** What going back together means. */
export const meaningOfRefit = ({ refit, opensUp }: GearState, { words }: Telling): Meaning => {
  const w = gearPrepareWords(words).refit
  if (refit) return plainMeaning('done', w.done[refit.payload.pins], refit.payload.words)
  return plainMeaning('todo', opensUp ? w.todo : w.unneeded)
}

/** How far it stands from its old pin holes, the further of both. */
export const fromOldHoles = ({ contact }: Pick<GearState, 'contact'>, { units }: Telling): string =>
  figure(Math.max(...LEVERS.map((l) => Math.abs(contact.shifted[l]))), 'displacement', units, { unit: true })

/** What the pins want; empty where they want nothing. */
export const pinsWanted = (s: GearState, telling: Telling): string => {
  const w = gearPrepareWords(telling.words).tighten
  if (s.pins !== 'out') return ''
  return s.mustReam ? w.ream(fromOldHoles(s, telling)) : w.refit
}

/** What tightening did. */
export const meaningOfGearTighten = (s: GearState, telling: Telling): Meaning => {
  const w = gearPrepareWords(telling.words).tighten
  const { entry, loosened, missing, verdict, since } = s.gearRecheck
  if (!entry) {
    if (!s.contact.now || !s.backlash.now) return plainMeaning('todo', loosened ? w.notYet : w.unneeded)
    return loosened ? plainMeaning('todo', w.asked, w.askedDetail) : plainMeaning('todo', w.unneeded)
  }
  if (missing.length === 2) return plainMeaning('stale', w.readBoth)
  if (missing[0]) return plainMeaning('stale', missing[0] === 'contact' ? w.readContact : w.readBacklash)
  if (verdict === 'out') {
    const what = [
      ...(since.contact?.figures?.verdict === 'out' ? [w.parts.contact] : []),
      ...(since.backlash?.verdict === 'out' ? [w.parts.backlash] : []),
    ]
    return plainMeaning('out', w.moved(what.join(', ')))
  }
  const pins = pinsWanted(s, telling)
  if (verdict === 'unknown') return plainMeaning('done', w.unknown, pins)
  return plainMeaning(
    pins ? 'edge' : verdict,
    pins ? `${w.held} ${w.pinsOut}` : verdict === 'edge' ? w.edge : w.held,
    pins,
  )
}

/** Layers under both blocks: `7 and 7`. */
export const underBoth = (under: readonly number[]): string => under.join(' + ')

/** A layer's thickness with its unit. */
export const layerFigure = (mm: number, { units }: Telling): string =>
  `${thickness(mm, units)} ${UNIT_NAMES[units].displacement}`

/** What lies under the blocks, found and registered. */
export const layersLines = ({ layers, layerFacts }: GearState, telling: Telling): readonly string[] => {
  const w = gearPrepareWords(telling.words).layers
  const of = layerFigure(layers.thickness, telling)
  if (!layerFacts.marked) return [w.registered(underBoth(layers.registered), of)]
  return [
    w.found(underBoth(layers.found), of, layerFacts.marked.payload.marks),
    ...(layers.differs ? [w.differs] : []),
  ]
}

/** `10 layers of 2 mil`. */
export const layersUnder = (n: number, mm: number, { words, units }: Telling): string =>
  backlashWords(words).layersOf(String(n), thickness(mm, units), UNIT_NAMES[units].displacement)
