import { lookWords, tablesWords } from '../../wording/en'
import type { BaseFound } from '../../../core/stages/look/base'
import { BASE_CORNERS } from '../../../core/stages/look/base'
import { BASE_EDGES } from '../../../core/stages/look/entries'
import type { PipeStrain } from '../../../core/stages/look/looks'
import { toCore } from '../../../core/units/unitSystem'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import { levelReadingStep } from '../level/readingStep'
import type { WorkingStep } from '../../working/step'

/** The slope along each edge, the plane through them, and the shim under each corner. */
export const baseWorking = (base: BaseFound, telling: Telling): readonly WorkingStep[] => {
  const { units, words } = telling
  const w = lookWords(words).working
  const slope = (x: number) => figure(x, 'slope', units, { extra: 1 })
  const far = (x: number) => figure(x, 'distance', units)
  const { by, units: was, length, width } = base.entry.payload
  const [l, b] = [toCore(length, 'distance', was), toCore(width, 'distance', was)]
  return [
    ...BASE_EDGES.map((edge): WorkingStep => {
      const read =
        by.by === 'feeler'
          ? {
              by: by.by,
              supported: by.supported,
              feeler: by.edges[edge].feeler,
              minus: by.edges[edge].farLow,
            }
          : { by: by.by, sensitivity: by.sensitivity, ...by.edges[edge] }
      return levelReadingStep(w.edge(lookWords(words).edges[edge]), read, was, base.edges[edge], telling)
    }),
    {
      name: w.along,
      formula: w.mean,
      substituted: `(${slope(base.edges.left)} + ${slope(base.edges.right)}) / 2`,
      result: slope(base.along),
    },
    {
      name: w.across,
      formula: w.mean,
      substituted: `(${slope(base.edges.coupling)} + ${slope(base.edges.far)}) / 2`,
      result: slope(base.across),
    },
    ...BASE_CORNERS.map((corner): WorkingStep => {
      const x = corner.startsWith('far') ? l : 0
      const y = corner.endsWith('right') ? b : 0
      return {
        name: w.corner(lookWords(words).corners[corner]),
        formula: w.cornerFormula,
        substituted: w.highest(`${slope(base.along)} × ${far(x)} + ${slope(base.across)} × ${far(y)}`),
        result: figure(base.shims[corner], 'displacement', units, { extra: 1 }),
      }
    }),
  ]
}

/** How far the hub went in all, against what is allowed. */
export const pipeWorking = (pipe: PipeStrain, telling: Telling): readonly WorkingStep[] => {
  const { units, words } = telling
  const d = (x: number) => figure(x, 'displacement', units, { extra: 1 })
  return [
    {
      name: lookWords(words).working.pipe,
      formula: '√(V² + H²)',
      substituted: `√(${d(pipe.vertical ?? 0)}² + ${d(pipe.horizontal ?? 0)}²)`,
      result: d(Math.hypot(pipe.vertical ?? 0, pipe.horizontal ?? 0)),
      note: `${tablesWords(words).limit}: ${d(pipe.limit)}`,
    },
  ]
}
