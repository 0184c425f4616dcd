import { flangeWords, lookWords, typingWords } from '../../wording/en'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import type { BoltFound } from '../../../core/stages/flangeLook/flangeFound'
import type { FlangeLookEntries } from '../../../core/stages/flangeLook/entries'
import { samePack } from '../../../core/stages/look/shimsFound'
import { clockFace } from '../../wording/clockFace'
import { pack, UNIT_NAMES } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import { readLeaves, type LookTexts, type SpigotTexts } from '../look/form'
import type { FlangeBolt } from '../../../core/flange/flangeShims'

export interface BoltShimsRead {
  readonly faults: Readonly<Record<string, string>>
  /** What is odd and asked once before it is logged. */
  readonly questions: readonly string[]
  readonly payload: FlangeLookEntries['bolt-shims-found'] | null
}

/** Reads what lies under the bolts against the register. */
export const readBoltShims = (
  { shims }: Pick<LookTexts, 'shims'>,
  registered: readonly BoltFound[],
  bolts: readonly FlangeBolt[],
  telling: Telling,
): BoltShimsRead => {
  const { units, words } = telling
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const found: FlangeLookEntries['bolt-shims-found']['bolts'][number][] = []
  for (const one of registered) {
    const read = readLeaves(shims[one.bolt], telling)
    if (read === null) continue
    if (typeof read === 'string') {
      faults[one.bolt] = read
      continue
    }
    const { list, named } = read
    const thick = list.map((t) => toCore(t, 'displacement', units))
    if (!samePack(thick, one.registered)) {
      const shown = (leaves: readonly number[]) => `${pack(leaves, units)} ${UNIT_NAMES[units].displacement}`
      const clock = clockFace(bolts.find((b) => b.id === one.bolt)?.clock ?? 0)
      questions.push(
        lookWords(words).form.differs(
          capital(flangeWords(words).bolt(clock)),
          shown(thick),
          shown(one.registered),
        ),
      )
    }
    found.push({ bolt: one.bolt, leaves: list.map((thickness, i) => ({ thickness, mark: named[i] ?? '' })) })
  }
  const whole = Object.keys(faults).length === 0 && found.length > 0
  return { faults, questions, payload: whole ? { units, bolts: found, words: '' } : null }
}

/** What stands in the boxes when everything lies as registered. */
export const asRegistered = (registered: readonly BoltFound[], units: UnitSystem): LookTexts['shims'] =>
  Object.fromEntries(
    registered.map(({ bolt, registered: leaves }) => [
      bolt,
      { leaves: leaves.length === 0 ? '0' : pack(leaves, units).replaceAll('+', ' + '), marks: '' },
    ]),
  )

/** Reads how the spigot was felt; its play may be unknown. */
export const readSpigot = (
  { fit, play, words: said }: SpigotTexts,
  { units, words }: Pick<Telling, 'units' | 'words'>,
): { readonly fault: string; readonly payload: FlangeLookEntries['spigot-felt'] | null } => {
  const read = readTypedNumber(play, 'displacement', units)
  const empty = play.trim() === ''
  if (fit === '') return { fault: '', payload: null }
  if (fit === 'loose' && !empty && !read.ok)
    return { fault: typingWords(words).faults[read.fault], payload: null }
  if (read.ok && read.value < 0) return { fault: flangeWords(words).spigot.noPlay, payload: null }
  const known = fit === 'loose' && !empty && read.ok ? read.value : null
  return { fault: '', payload: { units, fit, play: known, words: said.trim() } }
}
