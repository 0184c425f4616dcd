import type { CoupledState } from '../../../core/jobs/coupled'
import type { FaceMount, RimMount } from '../../../core/methods/method'
import type { SetUp } from '../../../core/stages/setUp/setUp'
import { figure } from '../../../shared/wording/figures'
import { circleName } from '../../../shared/wording/readings'
import type { Telling } from '../../../shared/wording/telling'
import { block, when } from '../blocks'
import type { Section } from '../section'

const mountWords = (setUp: SetUp, telling: Telling): readonly string[] => {
  const d = (x: number) => figure(x, 'displacement', telling.units, { unit: true })
  const l = (x: number) => figure(x, 'distance', telling.units, { unit: true })
  const sagTold =
    setUp.entry.payload.told.sag === 'hang' ? 'told as its hang' : 'told as the reading at 6 on a pipe'
  const rim = (name: string, m: RimMount) =>
    `${circleName(name, telling)} ${l(Math.abs(m.plane))} from the coupling centre, carried by the ${m.carriedBy} machine, bar sag ${d(m.sag)} (${sagTold}).`
  const face = (name: string, m: FaceMount) =>
    `${circleName(name, telling)} on a circle of ${l(m.diameter)}, plunger ${m.plunger === 'away' ? 'pointing away' : 'reaching over, pointing back'}, own sag ${d(m.sag ?? 0)}.`
  const { how } = setUp
  switch (how.method) {
    case 'rim-face':
      return [
        rim('rim', how.given.rim),
        ...how.given.faces.map((f, i) => face(how.given.faces.length === 2 ? `face${i + 1}` : 'face', f)),
      ]
    case 'reverse-rim':
      return [rim('onStationary', how.given.onStationary), rim('onMovable', how.given.onMovable)]
    case 'spacer-faces':
      return [
        face('atStationary', how.given.atStationary),
        face('atMovable', how.given.atMovable),
        `Spool ${l(how.given.spoolLength)} between its flex planes.`,
      ]
    case 'heads':
      return [
        `Heads at ${l(how.given.stationaryPlane)} and ${l(how.given.movablePlane)} from the coupling centre.`,
      ]
  }
}

/** Every set-up that sets in use were read with, as it stands after corrections. */
export const setUps: Section<Pick<CoupledState, 'setUp' | 'measurements'>> = (
  state,
  { telling, personName },
) => {
  const { words, footNames, units } = telling
  const used = [
    ...new Set([
      ...state.measurements.flatMap((m) => m.sets.map((s) => s.set.setUp)),
      ...(state.setUp ? [state.setUp] : []),
    ]),
  ]
  const d = (x: number) => figure(x, 'displacement', units, { unit: true })
  const l = (x: number) => figure(x, 'distance', units, { unit: true })
  return used.map((setUp) => {
    const shown = setUp.circles
      .map((c) => `${circleName(c, telling).toLowerCase()} ${d(setUp.returned[c] ?? 0)}`)
      .join(', ')
    const { why } = setUp.entry.payload
    return block(
      `${words.measuring.methods[setUp.how.method]}, set up ${when(setUp.entry.madeAt)}, ${personName(setUp.entry.author)}`,
      {
        text: [
          ...mountWords(setUp, telling),
          `Feet at ${setUp.feet.map((f) => `${l(f.x)} (${footNames(f.id)})`).join(' and ')}.`,
          `After a full turn: ${shown}; ${setUp.holdsZero ? 'holds zero' : 'does not hold zero'}.`,
        ].join(' '),
      },
      ...(setUp.holdsZero
        ? []
        : [{ text: `Used although it missed zero: ${why || 'no reason was given'}`, bold: true }]),
    )
  })
}
