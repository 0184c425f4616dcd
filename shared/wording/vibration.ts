import { vibrationWords } from './en'
import { shakesLess, shakesMost, type Vibration } from '../../core/stages/open/vibration'
import { fromCore } from '../../core/units/unitSystem'
import type { Telling } from './telling'

/** What was noted, a sentence a moment, and what both say together. Machines by their names in a sentence. */
export const vibrationReadWords = (
  vibration: Vibration,
  names: { readonly movable: string; readonly stationary: string },
  { words, units }: Pick<Telling, 'words' | 'units'>,
): readonly string[] => {
  const w = vibrationWords(words)
  const lines = (['before', 'after'] as const).flatMap((moment) => {
    const entry = vibration[moment]
    const most = entry && shakesMost(entry)
    if (!most) return []
    const value = fromCore(most.value, 'distance', units)
    const shown = `${value.toFixed(units === 'inch' ? 3 : 1)} ${w.unit[units]}`
    const where = `${w.places[most.at](names.movable, names.stationary)}, ${w.ways[most.way]}`
    return [w.told(w.moments[moment], shown, where)]
  })
  const share = shakesLess(vibration)
  const percent = share === null ? null : Math.round(share * 100)
  return lines.length === 0
    ? []
    : [...lines, ...(percent === null ? [] : [percent > 100 ? w.more(percent) : w.less(percent)]), w.hint]
}
