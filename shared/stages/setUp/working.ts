import type { RimMount } from '../../../core/methods/method'
import type { SetUp } from '../../../core/stages/setUp/setUp'
import { figure } from '../../wording/figures'
import { circleName } from '../../wording/readings'
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
  const d = (x: number) => figure(x, 'displacement', units, { unit: true })
  const l = (x: number) => figure(x, 'distance', units, { unit: true })
  const steps: WorkingStep[] = []
  for (const [circle, mount] of rimMounts(setUp)) {
    const name = circleName(circle, telling)
    steps.push(
      {
        name: `Bar sag, ${name.toLowerCase()}`,
        formula: 'on a pipe, zeroed at 12, the dial shows −2 × sag at 6',
        substituted: `−2 × ${d(mount.sag)} = ${d(-2 * mount.sag)}`,
        result: d(mount.sag),
        note: telling.words.setUp.sagSign[mount.carriedBy],
      },
      {
        name: `Plane of the dial, ${name.toLowerCase()}`,
        formula: 'negative toward the driven machine, positive toward the motor’s far end',
        substituted: `taped ${l(Math.abs(mount.plane))}, bracket on the ${mount.carriedBy} machine`,
        result: l(mount.plane),
      },
    )
  }
  setUp.feet.forEach((foot, i) => {
    const before = setUp.feet[i - 1]
    if (before)
      steps.push({
        name: `Distance to the ${telling.words.feet.feet(footNames(foot.id))}`,
        formula: 'coupling to the nearer pair + from there to this one',
        substituted: `${l(before.x)} + ${l(foot.x - before.x)}`,
        result: l(foot.x),
      })
  })
  steps.push({
    name: 'Return to zero',
    formula: 'each dial within one graduation after a full turn',
    substituted: setUp.circles
      .map(
        (c) =>
          `${circleName(c, telling).toLowerCase()} ${d(setUp.returned[c] ?? 0)} of ${d(setUp.graduation[c] ?? 0)}`,
      )
      .join(', '),
    result: setUp.holdsZero ? 'holds' : 'slipped',
  })
  return steps
}
