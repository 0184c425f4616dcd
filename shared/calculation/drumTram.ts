import { issue } from '../issue'
import { z } from 'zod'
import { measureTaken, rimFaceDials } from '../../core/methods/dials'
import {
  judgeTram,
  nextTramStep,
  tramDifferences,
  tramState,
  type TramValues,
} from '../../core/drum/drumTram'
import { ALIGNED } from '../../core/frame/planes'
import type { Reading } from '../../core/fit/harmonicFit'
import { planeVerdicts, type PlaneVerdict } from '../../core/judge/planeVerdicts'
import { done, refused } from '../../core/outcome'
import { answerLine, methodFields, trustLimits } from './couplingMethod'
import { defineOperation } from './defineOperation'
import { band, dialSet, faceSet, figure } from './fields'
import { feetOut, judgementOut, lineOut, maybe, out, trustOut } from './results'
import { judged, settled } from './settled'

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

/** What was typed stands where the readings don't tell. */
const valuesOf = (
  readings: readonly Reading[] | undefined,
  typed: { readonly side: number | undefined; readonly top: number | undefined },
): TramValues['rim'] => {
  const told = readings ? tramDifferences(readings) : null
  const pick = (what: 'side' | 'top') =>
    typeof told?.[what] === 'number' ? told[what] : (typed[what] ?? told?.[what] ?? 'not-read')
  return { side: pick('side'), top: pick('top') }
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
    notCompared: z
      .array(
        z.object({
          dial: z.enum(['rim', 'face']),
          what: z.enum(['side', 'top']),
          why: z.enum(['not-read', 'zeroed-between']),
        }),
      )
      .describe('Windows that nothing could be held against; readings are compared under one zero only.'),
    judgement: judgementOut.nullable(),
    next: z.enum(['side', 'height', 'side-again', 'drum-runout']).nullable(),
    trust: trustOut,
  }),
  compute: (given) => {
    const tram = judgeTram(
      {
        rim: valuesOf(given.rim?.readings, { side: given.side?.rim, top: given.top?.rim }),
        face: valuesOf(given.face?.readings, { side: given.side?.face, top: given.top?.face }),
      },
      given.windows ?? {},
    )
    const next = (side: PlaneVerdict, height: PlaneVerdict) => {
      const states = [tramState('side', tram, side), tramState('top', tram, height)] as const
      return states.every((s) => s === null) ? null : nextTramStep(...states)
    }
    const { checks, gaps: notCompared } = tram
    if (!given.rim || !given.face)
      return done({
        coupling: null,
        feet: null,
        checks,
        notCompared,
        judgement: null,
        next: next(null, null),
        trust: { sets: [], flags: ['unproven'] },
      })
    const rim = { ...given.rim, turning: given.rim.turning ?? ('movable' as const) }
    const measured = measureTaken(rimFaceDials({ rim, faces: [given.face] }), trustLimits(given))
    if (!measured.ok) return measured
    const { coupling, trust } = measured.value
    const limits = given.tolerance ? settled(given.tolerance, given.rpm) : null
    if (limits && !limits.ok) return limits
    const judgement = given.tolerance ? judged(coupling, given.tolerance, given.rpm, given.target) : null
    if (judgement && !judgement.ok) return judgement
    if (!given.feet) return refused('feet-at-one-place', ['feet'])
    const answer = answerLine({ ...given, feet: given.feet }, coupling, trust)
    const planes = limits
      ? planeVerdicts(coupling, limits.value, given.target ?? ALIGNED)
      : { v: null, h: null }
    return done({
      coupling: answer.coupling,
      feet: answer.feet,
      checks,
      notCompared,
      judgement: judgement ? judgement.value : null,
      next: next(planes.h, planes.v),
      trust: answer.trust,
    })
  },
})
