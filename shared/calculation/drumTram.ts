import { issue } from '../issue'
import { z } from 'zod'
import { measureTaken, rimFaceDials } from '../../core/methods/dials'
import {
  judgeTram,
  nextTramStep,
  tramDifferences,
  type TramCheck,
  type TramValues,
} from '../../core/drum/drumTram'
import { normalClock } from '../../core/frame/clock'
import type { Reading } from '../../core/fit/harmonicFit'
import { done, refused } from '../../core/outcome'
import { answerLine, methodFields, trustLimits } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { band, dialSet, faceSet, figure } from './fields'
import { feetOut, judgementOut, lineOut, maybe, out, trustOut } from './results'
import { judged } from './settled'

const raw = figure('difference-as-read', 'displacement')
const pair = z.object({ rim: raw.optional(), face: raw.optional() })
const windowPair = z.object({
  rim: band('rim', 'displacement').optional(),
  face: band('face', 'displacement').optional(),
})

const input = z
  .object({
    ...methodFields,
    feet: methodFields.feet.optional(),
    rim: dialSet.optional(),
    face: faceSet.optional(),
    side: pair.optional().describe('Reading at 3 less reading at 9, as read.'),
    top: pair.optional().describe('Reading at 12 less the mean of both sides, as read.'),
    windows: z.object({ side: windowPair.optional(), top: windowPair.optional() }).optional(),
  })
  .superRefine((value, context) => {
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    const sets = value.rim !== undefined || value.face !== undefined
    if (!sets && !value.side && !value.top) need('rim', issue('give-the-rim-and-face-readings'))
    if (sets && (value.rim === undefined) !== (value.face === undefined))
      need(value.rim === undefined ? 'rim' : 'face', 'Give both the rim and the face readings.')
    if (sets && value.feet === undefined) need('feet', issue('give-the-feet-so-that-the'))
    if (!sets && value.windows === undefined) need('windows', issue('give-the-windows-that-the-differences'))
  })

const at = (readings: readonly Reading[], clock: number) =>
  readings.find((r) => Math.abs(normalClock(r.clock) - clock) < 1)?.value

const differencesOf = (readings: readonly Reading[] | undefined) => {
  if (!readings) return undefined
  const [three, nine, twelve] = [at(readings, 90), at(readings, 270), at(readings, 0)]
  if (three === undefined || nine === undefined || twelve === undefined) return undefined
  return tramDifferences({ three, nine, twelve })
}

/** Motor trammed to a drum or flywheel with rods from its coupling. */
export const drumTramOperation = defineOperation({
  name: 'drum-tram',
  summary:
    'A motor trammed to a brake drum: side and top as read against their windows, moves, what comes next.',
  input,
  result: z.object({
    coupling: lineOut.nullable(),
    feet: feetOut.nullable(),
    checks: z.array(
      z.object({
        dial: z.enum(['rim', 'face']),
        what: z.enum(['side', 'top']),
        value: out('displacement'),
        low: maybe('displacement'),
        high: maybe('displacement'),
        margin: out(),
        verdict: z.enum(['in', 'edge', 'out']),
      }),
    ),
    judgement: judgementOut.nullable(),
    next: z.enum(['side', 'height', 'side-again', 'drum-runout']).nullable(),
    trust: trustOut,
  }),
  compute: (given) => {
    const values: TramValues = {
      rim: differencesOf(given.rim?.readings) ?? { side: given.side?.rim, top: given.top?.rim },
      face: differencesOf(given.face?.readings) ?? { side: given.side?.face, top: given.top?.face },
    }
    const checks: readonly TramCheck[] = judgeTram(values, given.windows ?? {})
    const inside = (
      what: 'side' | 'top',
      plane: 'v' | 'h',
      quantities: readonly { name: string; verdict: string }[],
    ) =>
      checks.filter((c) => c.what === what).every((c) => c.verdict !== 'out') &&
      quantities.filter((q) => q.name.endsWith(`.${plane}`)).every((q) => q.verdict !== 'out')
    if (!given.rim || !given.face)
      return done({
        coupling: null,
        feet: null,
        checks,
        judgement: null,
        next: checks.length > 0 ? nextTramStep(inside('side', 'h', []), inside('top', 'v', [])) : null,
        trust: { sets: [], flags: ['unproven'] },
      })
    const rim = { ...given.rim, turning: given.rim.turning ?? ('movable' as const) }
    const measured = measureTaken(rimFaceDials({ rim, faces: [given.face] }), trustLimits(given))
    if (!measured.ok) return measured
    const judgement = given.tolerance
      ? judged(measured.value.coupling, given.tolerance, given.rpm, given.target)
      : null
    if (judgement && !judgement.ok) return judgement
    if (!given.feet) return refused('feet-at-one-place', ['feet'])
    const answer = answerLine({ ...given, feet: given.feet }, measured.value.coupling, measured.value.trust)
    const quantities = judgement?.value.quantities ?? []
    const judgedAtAll = checks.length > 0 || quantities.length > 0
    return done({
      coupling: answer.coupling,
      feet: answer.feet,
      checks,
      judgement: judgement ? judgement.value : null,
      next: judgedAtAll
        ? nextTramStep(inside('side', 'h', quantities), inside('top', 'v', quantities))
        : null,
      trust: answer.trust,
    })
  },
})
