import type { Reading } from '../../fit/harmonicFit'
import type { Misalignment } from '../../frame/planes'
import type { Band, SettledTolerance } from '../../judge/tolerance'
import { remember } from '../../logbook/remember'
import { measureTaken } from '../../methods/dials'
import type { Circles } from '../../methods/method'
import type { RimFaceSetUp } from '../../methods/rimFace'
import { isSet, judgedAsRead, type DrumMachine } from '../../register/drumMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'

type Window = Extract<SettledTolerance, { form: 'window' }>

/** What both dials would show: sides as 3 less 9, tops as 12 less the middle of the sides. Millimetres. */
interface Shown {
  readonly rim: { readonly side: Millimetres; readonly top: Millimetres }
  readonly face: { readonly side: Millimetres; readonly top: Millimetres }
}
const NOTHING: Shown = { rim: { side: 0, top: 0 }, face: { side: 0, top: 0 } }

const dial = ({ side, top }: Shown['rim']): readonly Reading[] => [
  { clock: 90, value: side / 2 },
  { clock: 0, value: top },
  { clock: 270, value: -side / 2 },
]

/** The line that dials of this set-up would show so. */
const lineShown = (given: RimFaceSetUp, shown: Shown): Misalignment | null => {
  const face = dial(shown.face)
  const read: Circles =
    given.faces.length === 2
      ? // The second stands half a turn on: it shows the first one's readings with 3 and 9 changed about.
        {
          rim: dial(shown.rim),
          face1: face,
          face2: face.map((r) => ({ ...r, clock: (r.clock + 180) % 360 })),
        }
      : { rim: dial(shown.rim), face }
  const measured = measureTaken(
    { method: 'rim-face', given, read },
    { units: 'metric', graduation: null, offsetLimit: null },
  )
  return measured.ok ? measured.value.coupling : null
}

/** The band of a quantity that goes from `at` by `per` for each millimetre shown. */
const through = ([low, high]: Band, at: number, per: number): Band => {
  const [a, b] = [low, high].map((shown) => (shown === null ? null : at + per * shown)) as [
    number | null,
    number | null,
  ]
  return per < 0 ? [b, a] : [a, b]
}

/** What a limit leaves for each quantity by itself. */
const bandsOf = (limit: SettledTolerance): Pick<Window, 'offset' | 'slope'> => {
  const both = (band: Band) => ({ v: band, h: band })
  if (limit.form === 'window') return limit
  const offset = limit.form === 'offset-slope' ? limit.offset : null
  return {
    offset: both(offset === null ? [null, null] : [-offset, offset]),
    slope: both([-limit.slope, limit.slope]),
  }
}

/**
 * Windows on what the dials show, as windows on offset and slope by this set-up: a reading and the line are told from
 * one another by a straight rule, so that both say the same. What they leave open `limit` says. Source: docs/methods/drum-tram.md.
 */
export const windowsAsRead = remember(
  (machine: DrumMachine, given: RimFaceSetUp, limit: SettledTolerance): SettledTolerance => {
    const { windows } = machine.drum
    const still = judgedAsRead(windows) ? lineShown(given, NOTHING) : null
    if (!still) return limit
    const inCore = ([low, high]: Band): Band => [
      low === null ? null : toCore(low, 'displacement', machine.units),
      high === null ? null : toCore(high, 'displacement', machine.units),
    ]
    const other = bandsOf(limit)
    const band = (which: 'rim' | 'face', what: 'side' | 'top'): Band => {
      const told = which === 'rim' ? 'offset' : 'slope'
      const plane = what === 'top' ? 'v' : 'h'
      const window = windows[which][what]
      if (!isSet(window)) return other[told][plane]
      const one = lineShown(given, { ...NOTHING, [which]: { side: 0, top: 0, [what]: 1 } })
      const at = still[told][plane] ?? 0
      return through(inCore(window), at, (one?.[told][plane] ?? 0) - at)
    }
    return {
      form: 'window',
      offset: { v: band('rim', 'top'), h: band('rim', 'side') },
      slope: { v: band('face', 'top'), h: band('face', 'side') },
      ...(limit.source === undefined ? {} : { source: limit.source }),
    }
  },
)
