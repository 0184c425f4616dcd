import { methodsWords, reportWords, setUpWords, setsWords } from '../../../shared/wording/en'
import type { MeasuredState } from '../../../core/jobs/measured'
import type { FaceMount, RimMount } from '../../../core/methods/method'
import type { SetUp } from '../../../core/stages/setUp/setUp'
import { toCore } from '../../../core/units/unitSystem'
import { METHOD_FORMS } from '../../../shared/methods/forms'
import { clockFace } from '../../../shared/wording/clockFace'
import { figure } from '../../../shared/wording/figures'
import { circleName } from '../../../shared/wording/circles'
import type { Telling } from '../../../shared/wording/telling'
import { block, when } from '../blocks'
import type { Section } from '../section'

const mountWords = (setUp: SetUp, telling: Telling): readonly string[] => {
  const d = (x: number) => figure(x, 'displacement', telling.units, { unit: true })
  const l = (x: number) => figure(x, 'distance', telling.units, { unit: true })
  const w = reportWords(telling.words).setUps
  const sagTold = w.sagTold[setUp.entry.payload.told.sag]
  const upright = setUp.flange !== null
  const rim = (name: string, m: RimMount) =>
    w.rim(
      circleName(name, telling),
      m.plane === 0 ? '' : l(Math.abs(m.plane)),
      m.carriedBy,
      upright ? '' : d(m.sag),
      sagTold,
    )
  const face = (name: string, m: FaceMount) =>
    w.face(circleName(name, telling), l(m.diameter), m.plunger, upright ? '' : d(m.sag ?? 0))
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
        w.spool(l(how.given.spoolLength)),
      ]
    case 'heads':
      return [w.heads(l(how.given.stationaryPlane), l(how.given.movablePlane))]
    case 'gaps':
      return [w.gaps(l(how.given.diameter))]
    case 'values':
      return [w.values(l(how.given.per)), w.signs(how.given.signs.high, how.given.signs.toward3)]
    case 'foot-values':
      return [
        w.footValues(l(how.given.near), l(how.given.far)),
        w.signs(how.given.signs.high, how.given.signs.toward3),
      ]
  }
}

/** What was proved beside the distances: bars on a pipe, heads nudged, a still hub's run-out, how it is marked. */
const provedWords = (setUp: SetUp, telling: Telling): readonly string[] => {
  const w = setUpWords(telling.words)
  const { payload } = setUp.entry
  const d = (x: number) =>
    figure(toCore(x, 'displacement', payload.units), 'displacement', telling.units, { unit: true })
  const labels: Readonly<Record<string, string>> = methodsWords(telling.words).labels[payload.how.method]
  return [
    ...Object.entries(payload.pipe ?? {}).map(([id, t]) => w.pipe.was(labels[id] ?? id, d(t.at6), d(t.back))),
    ...(payload.nudged ? [w.nudgedWas(d(payload.nudged.own), d(payload.nudged.other))] : []),
    ...(payload.markUp === undefined ? [] : [w.stillHub.was(clockFace(payload.markUp))]),
    ...(payload.refit ? [w.refitWas(payload.refit)] : []),
  ]
}

/** Every set-up that sets in use were read with, as it stands after corrections. */
export const setUps: Section<Pick<MeasuredState, 'setUp' | 'measurements'>> = (
  state,
  { telling, personName },
) => {
  const { words, footNames, units } = telling
  const w = reportWords(words).setUps
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
      w.name(
        setsWords(words).methods[setUp.how.method],
        `${when(setUp.entry.madeAt)}, ${personName(setUp.entry.author)}`,
      ),
      {
        text: [
          ...mountWords(setUp, telling),
          setUp.flange
            ? w.flange(l(setUp.flange.across.v), l(setUp.flange.across.h), l(setUp.flange.plane))
            : w.feet(setUp.feet.map((f) => w.footAt(l(f.x), footNames(f.id)))),
          ...(METHOD_FORMS[setUp.how.method].reads === 'dials' ? [w.turned(shown, setUp.holdsZero)] : []),
        ].join(' '),
      },
      ...(setUp.entry.payload.checked?.length
        ? [
            {
              text: setUpWords(words).checkedWere(
                setUp.entry.payload.checked.map((c) => setUpWords(words).checks[c].toLowerCase()).join('; '),
              ),
            },
          ]
        : []),
      ...provedWords(setUp, telling).map((text) => ({ text })),
      ...(setUp.holdsZero ? [] : [{ text: w.usedAlthough(why), bold: true }]),
    )
  })
}
