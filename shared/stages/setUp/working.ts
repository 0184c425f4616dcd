import { feetWords, setUpWords, workingWords } from '../../wording/en'
import type { RimMount } from '../../../core/methods/method'
import type { SetUp } from '../../../core/stages/setUp/setUp'
import { figure } from '../../wording/figures'
import { circleName } from '../../wording/circles'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** Rim dials of a set-up by the circle they read. */
const rimMounts = ({ how }: SetUp): readonly (readonly [circle: string, mount: RimMount])[] =>
  'rim' in how.given
    ? [['rim', how.given.rim]]
    : 'onStationary' in how.given
      ? [
          ['onStationary', how.given.onStationary],
          ['onMovable', how.given.onMovable],
        ]
      : []

/** How the set-up's derived numbers came about. */
export const setUpWorking = (setUp: SetUp, telling: Telling): readonly WorkingStep[] => {
  const { units, footNames } = telling
  const w = workingWords(telling.words).setUp
  const d = (x: number) => figure(x, 'displacement', units, { unit: true })
  const l = (x: number) => figure(x, 'distance', units, { unit: true })
  const steps: WorkingStep[] = []
  for (const [circle, mount] of rimMounts(setUp)) {
    const name = circleName(circle, telling)
    steps.push(
      {
        name: w.barSag(name.toLowerCase()),
        formula: w.barSagFormula,
        substituted: `−2 × ${d(mount.sag)} = ${d(-2 * mount.sag)}`,
        result: d(mount.sag),
        note: setUpWords(telling.words).sagSign[mount.carriedBy],
      },
      {
        name: w.plane(name.toLowerCase()),
        formula: w.planeFormula,
        substituted: w.taped(l(Math.abs(mount.plane)), mount.carriedBy),
        result: l(mount.plane),
      },
    )
  }
  setUp.feet.forEach((foot, i) => {
    const before = setUp.feet[i - 1]
    if (before)
      steps.push({
        name: w.distance(feetWords(telling.words).feet(footNames(foot.id))),
        formula: w.distanceFormula,
        substituted: `${l(before.x)} + ${l(foot.x - before.x)}`,
        result: l(foot.x),
      })
  })
  steps.push({
    name: w.returned,
    formula: w.returnedFormula,
    substituted: setUp.circles
      .map((c) =>
        w.returnedOf(
          circleName(c, telling).toLowerCase(),
          d(setUp.returned[c] ?? 0),
          d(setUp.graduation[c] ?? 0),
        ),
      )
      .join(', '),
    result: setUp.holdsZero ? w.holds : w.slipped,
  })
  return steps
}
