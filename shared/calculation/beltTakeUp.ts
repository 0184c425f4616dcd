import { issue } from '../issue'
import { z } from 'zod'
import { beltDrive } from '../../core/belt/geometry'
import { centreChange, learnTurns, toEighths } from '../../core/belt/takeUp'
import { done } from '../../core/outcome'
import { drivePair, requireDrive, stiffness } from './beltFields'
import { defineOperation } from './defineOperation'
import { figure, notNegative, positive, units } from './fields'
import { maybe, out } from './results'

/** Travel is called short when less than this share of it would be left. */
const TRAVEL_WARNED = 0.15

/** How far the motor goes, or how many more turns the screws need. */
export const beltTakeUpOperation = defineOperation({
  name: 'belt-takeup',
  summary:
    'Change of centre distance from belt stiffness, or turns of the screws learned from the last turns.',
  input: z
    .object({
      units,
      ...drivePair,
      stiffness,
      now: notNegative('tension-now', 'force').optional(),
      target: positive('target', 'force').describe('Tension with stiffness, force with a history.'),
      history: z
        .array(
          z.object({
            turns: figure('turns').describe('Cumulative tightening turns of each screw.'),
            force: notNegative('force', 'force'),
          }),
          { error: issue('give-the-history-as-a-list') },
        )
        .min(2, { error: issue('give-the-force-before-and-after') })
        .max(100, { error: issue('give-at-most-a-hundred-points') })
        .optional(),
      screwPitch: positive('screw-pitch', 'distance').optional(),
      slideAngle: figure('slide-angle')
        .min(-80, { error: issue('give-the-slide-angle-to-the') })
        .max(80, { error: issue('give-the-slide-angle-to-the') })
        .optional(),
      travelLeft: notNegative('travel-left', 'distance').optional(),
    })
    .superRefine((value, context) => {
      requireDrive(value, context)
      const need = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message })
      if (value.history === undefined) {
        if (value.stiffness === undefined) need('stiffness', issue('give-the-belts-stiffness-or-a'))
        if (value.now === undefined) need('now', issue('give-the-tension-now'))
      }
    }),
  result: z.object({
    dC: maybe('distance'),
    travel: maybe('distance').describe('Along the slide.'),
    turns: maybe(),
    turnsRounded: maybe().describe('To an eighth of a turn.'),
    forcePerTurn: maybe('force'),
    interval: z.tuple([out(), out()]).nullable().describe('95 % of the turns.'),
    travelAfter: maybe('distance'),
    nearEnd: z.boolean().nullable(),
  }),
  compute: (given) => {
    const drive = beltDrive(given)
    if (!drive.ok) return drive
    const cosine = Math.cos(((given.slideAngle ?? 0) * Math.PI) / 180)
    const leftAfter = (travel: number | null) =>
      travel === null || given.travelLeft === undefined ? null : given.travelLeft - travel
    const near = (after: number | null) =>
      after === null || given.travelLeft === undefined ? null : after < TRAVEL_WARNED * given.travelLeft
    if (given.history) {
      const learned = learnTurns(given.history, given.target)
      if (!learned.ok) return learned
      const turnsRounded = toEighths(learned.value.turns)
      const travel = given.screwPitch === undefined ? null : turnsRounded * given.screwPitch
      const after = leftAfter(travel)
      return done({
        dC: travel === null ? null : travel * cosine,
        travel,
        ...learned.value,
        turnsRounded,
        travelAfter: after,
        nearEnd: near(after),
      })
    }
    const change = centreChange(drive.value, given.stiffness ?? 1, given.now ?? 0, given.target)
    if (!change.ok) return change
    const travel = change.value.exact / cosine
    const turns = given.screwPitch === undefined ? null : travel / given.screwPitch
    const after = leftAfter(travel)
    return done({
      dC: change.value.exact,
      travel,
      turns,
      turnsRounded: turns === null ? null : toEighths(turns),
      forcePerTurn: null,
      interval: null,
      travelAfter: after,
      nearEnd: near(after),
    })
  },
})
