import type { DrumTrue, SurfaceTrue } from '../../../core/stages/drumTrue/drumTrue'
import { clockFace } from '../../wording/clockFace'
import { drumTrueWords } from '../../wording/en'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How far a surface of the drum runs out, where it stands high, and what the blows did. */
export const drumTrueWorking = (
  { surface, latest, turns }: SurfaceTrue,
  { limit, source }: Pick<DrumTrue, 'limit' | 'source'>,
  rpm: number,
  telling: Telling,
): readonly WorkingStep[] => {
  if (!latest) return []
  const w = drumTrueWords(telling.words).working
  const small = (mm: number) => figure(mm, 'displacement', telling.units, { extra: 1 })
  const { result, entry } = latest
  const values = entry.payload.readings.map((r) => r.value)
  const before = turns[turns.length - 2]
  return [
    {
      name: w.tir,
      formula: w.tirFormula,
      substituted: `${Math.max(...values)} − (${Math.min(...values)})`,
      result: small(result.tir),
    },
    {
      name: surface === 'rim' ? w.first : w.firstFace,
      formula: w.firstFormula,
      substituted: '',
      result: small(result.first.amplitude),
    },
    { name: w.high, formula: '', substituted: '', result: clockFace(result.strikeAt) },
    ...(before && latest.effect
      ? [
          {
            name: w.change,
            formula: w.changeFormula,
            substituted: `${small(before.result.tir)} − ${small(result.tir)}`,
            result: small(before.result.tir - result.tir),
          },
        ]
      : []),
    ...(source === 'speed'
      ? [{ name: w.limit, formula: w.limitFormula, substituted: `7200 / ${rpm}`, result: small(limit) }]
      : []),
  ]
}
