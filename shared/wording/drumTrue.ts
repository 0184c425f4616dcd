import { clockFace } from './clockFace'
import { drumTrueWords } from './en'
import { figure } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'
import type { DrumTrue, SurfaceTrue } from '../../core/stages/drumTrue/drumTrue'
import type { Millimetres } from '../../core/units/unitSystem'

const small = (t: Millimetres, { units }: Pick<Telling, 'units'>) =>
  figure(t, 'displacement', units, { unit: true })

/** What one surface asks for next. */
export const meaningOfSurface = (surface: SurfaceTrue, telling: Telling): Meaning => {
  const { headlines: h, details } = drumTrueWords(telling.words)
  const { advice, latest, verdict } = surface
  const by = latest ? small(latest.result.tir, telling) : ''
  switch (advice.what) {
    case 'read':
      return plainMeaning('todo', h.read)
    case 'read-again':
      return plainMeaning('stale', h.readAgain)
    case 'leave':
      return plainMeaning(verdict === 'edge' ? 'edge' : 'in', h.leave(by), details.leave)
    case 'tap': {
      const mark = clockFace(advice.mark)
      return plainMeaning(
        'out',
        surface.surface === 'rim' ? h.tapRim(by, mark) : h.tapFace(by, mark),
        details[advice.how],
      )
    }
    case 'seat':
    case 'oval':
      return plainMeaning('out', h[advice.what], details[advice.what])
  }
}

/** The worst of both surfaces speaks for the drum. */
export const surfaceInTurn = ({ surfaces }: DrumTrue): SurfaceTrue => {
  const rank = { tap: 0, seat: 0, oval: 0, 'read-again': 1, leave: 3, read: 2 }
  // A face is turned where somebody wants it; only the rim is asked for.
  const asked = surfaces.filter((s) => s.surface === 'rim' || s.latest)
  const [first] = [...asked].sort((a, b) => rank[a.advice.what] - rank[b.advice.what])
  return first ?? (surfaces[0] as SurfaceTrue)
}

/** What the drum by itself means. */
export const meaningOfDrum = (drum: DrumTrue, telling: Telling): Meaning =>
  meaningOfSurface(surfaceInTurn(drum), telling)

/** One line for the run sheet; empty while nobody turned it. */
export const findingOfDrum = (drum: DrumTrue, telling: Telling): string => {
  const w = drumTrueWords(telling.words).finding
  const { latest, open, verdict } = surfaceInTurn(drum)
  if (!latest) return ''
  if (open) return w.struck
  const by = small(latest.result.tir, telling)
  return verdict === 'out' ? w.out(by) : w.in(by)
}

/** The limit and whose it is. */
export const drumRunoutLimit = ({ limit, source }: DrumTrue, telling: Telling): string => {
  const w = drumTrueWords(telling.words)
  return w.limit(small(limit, telling), w.source[source])
}
