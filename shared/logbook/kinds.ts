import { z } from 'zod'
import type { EntryBody, EntryKind } from '../../core/logbook/entry'
import { closingKinds } from '../stages/close/entries'
import { flangeLookKinds } from '../stages/flangeLook/entries'
import { flangeMoveKinds } from '../stages/flangeMove/entries'
import { flangePlanKinds } from '../stages/flangePlan/entries'
import { drumTrueKinds } from '../stages/drumTrue/entries'
import { feetKinds } from '../stages/feet/entries'
import { hotCheckKinds } from '../stages/hotCheck/entries'
import { levelKinds } from '../stages/level/entries'
import { lineUpKinds } from '../stages/lineUp/entries'
import { safetyKinds } from '../stages/makeSafe/entries'
import { lookKinds } from '../stages/look/entries'
import { proveKinds } from '../stages/prove/entries'
import { readingKinds } from '../stages/measure/entries'
import { moveKinds } from '../stages/move/entries'
import { openingKinds } from '../stages/open/entries'
import { trainGrowthKinds } from '../stages/trainGrowth/entries'
import { trainPlanKinds } from '../stages/trainPlan/entries'
import { planKinds } from '../stages/plan/entries'
import { roughInKinds } from '../stages/roughIn/entries'
import { setUpKinds } from '../stages/setUp/entries'
import { targetKinds } from '../stages/target/entries'
import { backlashKinds } from '../stages/backlash/entries'
import { contactKinds } from '../stages/contact/entries'
import { gearLookKinds } from '../stages/gearLook/entries'
import { gearTightenKinds } from '../stages/gearTighten/entries'
import { refitKinds } from '../stages/refit/entries'
import { fitKinds } from '../stages/fit/entries'
import { inspectKinds } from '../stages/inspect/entries'
import { runKinds } from '../stages/run/entries'
import { slackOffKinds } from '../stages/slackOff/entries'
import { squareKinds } from '../stages/square/entries'
import { tensionKinds } from '../stages/tension/entries'
import { tightenKinds } from '../stages/tighten/entries'
import { why, words } from '../text'
import { defineKind } from './kind'
import { liftPayload } from './lifts'

const logbookKinds = {
  'stage-skipped': defineKind('stage-skipped', z.object({ stage: words('stage', 40), why })),
  remark: defineKind('remark', z.object({ text: words('what-to-remark') })),
}

/** Every kind of entry at the door. One row a stage folder. */
export const KINDS = {
  ...openingKinds,
  ...safetyKinds,
  ...lookKinds,
  ...feetKinds,
  ...levelKinds,
  ...roughInKinds,
  ...setUpKinds,
  ...readingKinds,
  ...targetKinds,
  ...trainGrowthKinds,
  ...trainPlanKinds,
  ...planKinds,
  ...moveKinds,
  ...proveKinds,
  ...hotCheckKinds,
  ...drumTrueKinds,
  ...flangeLookKinds,
  ...flangePlanKinds,
  ...flangeMoveKinds,
  ...gearLookKinds,
  ...refitKinds,
  ...contactKinds,
  ...backlashKinds,
  ...gearTightenKinds,
  ...slackOffKinds,
  ...inspectKinds,
  ...squareKinds,
  ...lineUpKinds,
  ...fitKinds,
  ...tensionKinds,
  ...tightenKinds,
  ...runKinds,
  ...closingKinds,
  ...logbookKinds,
} as const satisfies { readonly [K in EntryKind]: { readonly name: K; readonly body: z.ZodType } }

export const isEntryKind = (name: unknown): name is EntryKind =>
  typeof name === 'string' && Object.hasOwn(KINDS, name)

/**
 * A stored body of whatever version as core folds it today. Throws when it passes no schema: it was
 * let in by one, so that is damage, not input.
 */
export const readBody = (kind: string, version: number, payload: unknown): EntryBody => {
  if (!isEntryKind(kind)) throw new Error(`There is no kind of entry called ${kind}.`)
  const { body } = KINDS[kind]
  return body.parse({ kind, payload: liftPayload(kind, version, payload) }) as EntryBody
}
