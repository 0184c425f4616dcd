import { BELT, type BeltStageId } from '~~/core/jobs/belt'
import { beltFindings } from '~~/shared/wording/beltFindings'
import { loadedAhead } from '~/stages/ahead'
import { SHARED_VIEWS } from '~/stages/sharedViews'
import type { LoadedKind, Views } from './kinds'

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
const VIEWS: Views<BeltStageId> = {
  ...SHARED_VIEWS,
  'slack-off': loadedAhead(() => import('~/stages/slackOff/SlackOffStage.vue')),
  inspect: loadedAhead(() => import('~/stages/inspect/InspectStage.vue')),
  square: loadedAhead(() => import('~/stages/square/SquareStage.vue')),
  'line-up': loadedAhead(() => import('~/stages/lineUp/LineUpStage.vue')),
  fit: loadedAhead(() => import('~/stages/fit/FitStage.vue')),
  tension: loadedAhead(() => import('~/stages/tension/TensionStage.vue')),
  tighten: loadedAhead(() => import('~/stages/tighten/TightenStage.vue')),
  run: loadedAhead(() => import('~/stages/run/RunStage.vue')),
}

export const kind: LoadedKind = { ...BELT, findings: beltFindings, views: VIEWS }
