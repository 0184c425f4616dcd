import { directionsWords, hotWords, proveWords, verdictsWords } from '../../wording/en'
import { PLANES } from '../../../core/frame/planes'
import type { ProvedStrain } from '../../../core/stages/prove/checkProof'
import { figure } from '../../wording/figures'
import { quantityName } from '../../wording/quantities'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How the difference, its limit and the wrong moves follow from both readings, with this job's numbers. */
export const strainWorking = (
  { coupled, uncoupled, difference, quantities, feet, plans }: ProvedStrain,
  { words, units, footNames }: Telling,
): readonly WorkingStep[] => {
  const w = proveWords(words).working
  const shown = (x: number | null, kind: 'displacement' | 'slope') =>
    figure(x, kind, units, { sign: true, extra: 1 })
  const parts = (['offset', 'slope'] as const).flatMap((of) =>
    PLANES.map((plane): WorkingStep => {
      const kind = of === 'offset' ? 'displacement' : 'slope'
      const f = (x: number | null) => shown(x, kind)
      return {
        name: w.difference(hotWords(words).working[of](directionsWords(words).planes[plane])),
        formula: w.differenceFormula,
        substituted: `${f(coupled[of][plane])} − (${f(uncoupled[of][plane])})`,
        result: f(difference[of][plane]),
      }
    }),
  )
  const limits = quantities.flatMap((q): readonly WorkingStep[] =>
    q.limit === null
      ? []
      : [
          {
            name: w.limit(quantityName(q.name, { words })),
            formula: w.limitFormula,
            substituted: `|${shown(q.value, q.kind)}| ${q.over ? '>' : '≤'} ${shown(q.limit, q.kind)}`,
            result: verdictsWords(words)[q.over ? 'out' : 'in'],
          },
        ],
  )
  const wrong = feet.flatMap((f, i) =>
    PLANES.map((plane): WorkingStep => {
      const plan = plans[i]
      const d = (x: number | null | undefined) => shown(x ?? null, 'displacement')
      return {
        name: w.wrongBy(capital(footNames(f.id)), directionsWords(words).planes[plane]),
        formula: w.wrongByFormula,
        substituted: `${d(plan?.coupled[plane])} − (${d(plan?.uncoupled[plane])})`,
        result: d(f.moveError[plane]),
      }
    }),
  )
  return [...parts, ...limits, ...wrong]
}
