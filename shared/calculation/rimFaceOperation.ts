import { z } from 'zod'
import { feetFor } from '../../core/coupling/feet'
import { rimFace } from '../../core/coupling/rimFace'
import { done } from '../../core/outcome'
import { beyondReturnLimit } from '../../core/trust/returnToZero'
import { fromCore, toCore } from '../../core/units/unitSystem'
import {
  dialSetToCore,
  faceSetToCore,
  feetFromCore,
  lineFromCore,
  lineToCore,
  setTrustFromCore,
} from './conversion'
import { defineOperation } from './defineOperation'
import { couplingLine, dialSet, faceSet, feet, figure, notNegative, units } from './fields'

const returned = figure('what the dial shows after the full turn')

const input = z
  .object({
    units,
    feet,
    rim: dialSet,
    face: faceSet.optional(),
    faces: z.tuple([faceSet, faceSet], { error: 'Give exactly two face dials.' }).optional(),
    target: couplingLine.optional(),
    graduation: notNegative('the dial graduation').optional(),
    returnToZero: z
      .union([returned, z.object({ rim: returned.optional(), face: returned.optional() })])
      .optional(),
  })
  .superRefine((value, context) => {
    if ((value.face === undefined) === (value.faces === undefined))
      context.addIssue({
        code: 'custom',
        path: ['face'],
        message: 'Give either one face dial (face) or two (faces).',
      })
  })

/** Rim and face through the contract: offset, slope, what the feet need, and the trust report. */
export const rimFaceOperation = defineOperation({
  name: 'rim-face',
  summary:
    'Offset and slope at the coupling from a rim dial and a face dial, and the move at each foot pair.',
  input,
  compute: (given) => {
    const { units: u } = given
    const length = (x: number) => toCore(x, 'displacement', u)
    const faces = given.faces ?? (given.face ? [given.face] : [])
    const converted = faces.map((f) => faceSetToCore(f, u))
    const [first, second] = converted
    if (!first) return done(null)
    const graduation = given.graduation === undefined ? null : length(given.graduation)
    const measured = rimFace(
      { rim: dialSetToCore(given.rim, u), faces: second ? [first, second] : [first] },
      { units: u, graduation, offsetLimit: null },
    )
    if (!measured.ok) return measured
    const { coupling, trust, axialFloat } = measured.value
    const back = given.returnToZero
    const shown = typeof back === 'number' ? [back] : [back?.rim ?? 0, back?.face ?? 0]
    const slipped = shown.some((x) => beyondReturnLimit(length(x), u, graduation))
    return done({
      coupling: lineFromCore(coupling, u),
      feet: feetFromCore(
        feetFor(
          coupling,
          given.feet.map((f) => ({ id: f.id, x: toCore(f.x, 'distance', u) })),
          given.target && lineToCore(given.target, u),
        ),
        u,
      ),
      trust: {
        sets: trust.sets.map((s) => setTrustFromCore(s, u)),
        flags: slipped ? [...trust.flags, 'return-to-zero'] : trust.flags,
      },
      ...(axialFloat === null ? {} : { axialFloat: fromCore(axialFloat, 'displacement', u) }),
    })
  },
})
