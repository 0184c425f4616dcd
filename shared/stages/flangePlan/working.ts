import { flangeWords, workingWords } from '../../wording/en'
import type { BoltPacks } from '../../../core/flange/boltPacks'
import { rockOf } from '../../../core/flange/flangePlane'
import { clockVector } from '../../../core/frame/clock'
import type { Misalignment } from '../../../core/frame/planes'
import type { FlangeShape } from '../../../core/register/flangeMachine'
import { clockFace } from '../../wording/clockFace'
import { figure, pack } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** How every shim follows from the tilt, what its leaves come to, and what stays. */
export const flangeWorking = (
  found: Misalignment,
  shape: FlangeShape,
  packs: BoltPacks | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const { units, words } = telling
  const w = workingWords(words).flange
  const f = flangeWords(words)
  const d = (x: number | null) => figure(x, 'displacement', units, { sign: true, extra: 1 })
  const s = (x: number | null) => figure(x, 'slope', units, { sign: true, extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const per = units === 'metric' ? ' / 100' : ''
  const [sv, sh] = [found.slope.v ?? 0, found.slope.h ?? 0]
  const steps: WorkingStep[] = shape.bolts.flatMap((b, i) => {
    const [c, sn] = clockVector(b.clock)
    const own = packs?.packs[i]
    if (!packs || !own) return []
    const h = b.radius * (sv * c + sh * sn)
    return [
      {
        name: capital(f.bolt(clockFace(b.clock))),
        formula: w.shim,
        substituted: `${l(b.radius)} × (${s(sv)} × ${c.toFixed(3)} ${sn < 0 ? '−' : '+'} ${s(sh)} × ${Math.abs(sn).toFixed(3)})${per} = ${d(h)}`,
        result: `${w.above(d(own.exact))} ${pack(own.putIn, units)}`,
      },
    ]
  })
  for (const plane of ['v', 'h'] as const) {
    const [o, k] = [found.offset[plane], found.slope[plane]]
    steps.push({
      name: w.stays[plane],
      formula: w.stay,
      substituted: `${d(o)} ${(k ?? 0) < 0 ? '−' : '+'} ${s(Math.abs(k ?? 0)).replace('+', '')} × ${l(shape.plane)}${per}`,
      result: d(o === null || k === null ? null : o + k * shape.plane),
    })
  }
  if (packs)
    steps.push({
      name: f.rock.name,
      formula: packs.plane.rock === null ? w.rockOdd : w.rock,
      substituted: packs.packs.map((p) => d(p.added)).join(', '),
      result: d(rockOf(packs.plane)),
    })
  return steps
}
