import { directionsWords, hotWords } from '../../wording/en'
import { PLANES } from '../../../core/frame/planes'
import type { HotCheck } from '../../../core/stages/hotCheck/hotCheck'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How the hot line and the new cold target follow from what was read, with this job's numbers. */
export const hotWorking = (
  { hot, measurement, putBack, cold, target }: HotCheck,
  { words, units }: Telling,
): readonly WorkingStep[] => {
  const w = hotWords(words).working
  const read = measurement.coupling
  if (!hot || !read) return []
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  return (['offset', 'slope'] as const).flatMap((what) =>
    PLANES.flatMap((plane) => {
      const f = what === 'offset' ? d : s
      const name = w[what](directionsWords(words).planes[plane])
      const back: readonly WorkingStep[] = putBack
        ? [
            {
              name: w.hot(name),
              formula: w.hotFormula,
              substituted: `${f(read[what][plane])} − (${f(putBack[what][plane])})`,
              result: f(hot[what][plane]),
            },
          ]
        : []
      const aim: readonly WorkingStep[] =
        cold && target
          ? [
              {
                name: w.target(name),
                formula: w.targetFormula,
                substituted: `${f(cold[what][plane])} − (${f(hot[what][plane])})`,
                result: f(target[what][plane]),
              },
            ]
          : []
      return [...back, ...aim]
    }),
  )
}
