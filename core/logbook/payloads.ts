import type { BeltEntries } from '../stages/lineUp/entries'
import type { ClosingEntries } from '../stages/close/entries'
import type { DrumTrueEntries } from '../stages/drumTrue/entries'
import type { FeetEntries } from '../stages/feet/entries'
import type { BacklashEntries } from '../stages/backlash/entries'
import type { ContactEntries } from '../stages/contact/entries'
import type { GearLookEntries } from '../stages/gearLook/entries'
import type { GearTightenEntries } from '../stages/gearTighten/entries'
import type { RefitEntries } from '../stages/refit/entries'
import type { FlangeLookEntries } from '../stages/flangeLook/entries'
import type { FlangeMoveEntries } from '../stages/flangeMove/entries'
import type { FlangePlanEntries } from '../stages/flangePlan/entries'
import type { HotCheckEntries } from '../stages/hotCheck/entries'
import type { LevelEntries } from '../stages/level/entries'
import type { SafetyEntries } from '../stages/makeSafe/entries'
import type { LookEntries } from '../stages/look/entries'
import type { ReadingEntries } from '../stages/measure/entries'
import type { MoveEntries } from '../stages/move/entries'
import type { OpeningEntries } from '../stages/open/entries'
import type { PlanEntries } from '../stages/plan/entries'
import type { ProveEntries } from '../stages/prove/entries'
import type { RoughInEntries } from '../stages/roughIn/entries'
import type { SetUpEntries } from '../stages/setUp/entries'
import type { TargetEntries } from '../stages/target/entries'
import type { TrainGrowthEntries } from '../stages/trainGrowth/entries'
import type { TrainPlanEntries } from '../stages/trainPlan/entries'
import type { FitEntries } from '../stages/fit/entries'
import type { InspectEntries } from '../stages/inspect/entries'
import type { RunEntries } from '../stages/run/entries'
import type { SlackOffEntries } from '../stages/slackOff/entries'
import type { SquareEntries } from '../stages/square/entries'
import type { TensionEntries } from '../stages/tension/entries'
import type { TightenEntries } from '../stages/tighten/entries'

/** Entries that belong to no stage. */
interface LogbookEntries {
  'stage-skipped': { readonly stage: string; readonly why: string }
  remark: { readonly text: string }
}

/** Every kind of entry. One row a stage folder. */
export interface EntryPayloads
  extends
    LogbookEntries,
    OpeningEntries,
    SafetyEntries,
    LookEntries,
    FeetEntries,
    LevelEntries,
    RoughInEntries,
    SetUpEntries,
    ReadingEntries,
    TargetEntries,
    TrainGrowthEntries,
    TrainPlanEntries,
    PlanEntries,
    MoveEntries,
    ProveEntries,
    HotCheckEntries,
    DrumTrueEntries,
    FlangeLookEntries,
    FlangePlanEntries,
    FlangeMoveEntries,
    GearLookEntries,
    RefitEntries,
    ContactEntries,
    BacklashEntries,
    GearTightenEntries,
    SlackOffEntries,
    InspectEntries,
    SquareEntries,
    BeltEntries,
    FitEntries,
    TensionEntries,
    TightenEntries,
    RunEntries,
    ClosingEntries {}
