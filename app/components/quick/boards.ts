import type { Component } from 'vue'
import { fitsHubs } from '~~/shared/quick/feelers'
import { fitsForces } from '~~/shared/quick/beltDrive'
import { fitsGrowth } from '~~/shared/quick/growing'
import { LINE_BOXES } from '~~/shared/stages/lineUp/form'
import type { SumTakes } from '~/composables/useSum'

/** A sum's own board: the numbers that it takes stand on the drawing, all others in the form below it. */
export interface SumBoard {
  /** Paths of the form that stand on the drawing. */
  readonly takes: SumTakes
  readonly board: Component
}

const of = (load: () => Promise<{ default: Component }>, ...takes: readonly string[]): SumBoard => ({
  takes,
  board: defineAsyncComponent(load),
})
const readings = (...takes: readonly string[]) => of(() => import('./boards/ReadingsSum.vue'), ...takes)
const lineFound = of(() => import('./boards/LineFound.vue'))
const FEELERS = ['gaps/readings', 'rises/readings'] as const
const DRIVE_SIZES = ['d', 'D', 'C', 'L'] as const
const drive = of(() => import('./boards/DriveSum.vue'), ...DRIVE_SIZES)
const leaves = of(() => import('./boards/LeavesSum.vue'))

/** Sums that have a drawing; the form of any other is built from its schema alone. */
export const SUM_BOARDS: Readonly<Record<string, SumBoard>> = {
  'rim-face': readings('rim/readings', 'face/readings', 'faces/0/readings', 'faces/1/readings'),
  'reverse-rim': readings('onStationary/readings', 'onMovable/readings'),
  'spacer-faces': readings('atStationary/readings', 'atMovable/readings'),
  heads: readings('samples'),
  'fit-readings': readings('readings'),
  'soft-foot': of(() => import('./boards/FeetSum.vue'), 'rises', 'corners'),
  runout: of(() => import('./boards/HubSum.vue'), 'readings'),
  level: of(() => import('./boards/LevelSum.vue'), 'feeler', 'supportedLength', 'boltSpacing'),
  'coupling-values': of(() => import('./boards/ValuesSum.vue'), 'coupling'),
  'foot-values': lineFound,
  'gap-straightedge': {
    takes: (at) => (fitsHubs(at(FEELERS[0]), at(FEELERS[1])) ? FEELERS : []),
    board: defineAsyncComponent(() => import('./boards/FeelersSum.vue')),
  },
  'axial-gap': of(() => import('./boards/GapSum.vue'), 'runningGap', 'measured', 'window', 'shafts'),
  'move-plan': of(() => import('./boards/PlanSum.vue'), 'coupling'),
  'four-contact': of(() => import('./boards/FourRims.vue'), 'reference', 'other'),
  'sheave-line': of(() => import('./boards/SheavesSum.vue'), ...LINE_BOXES, 'otherOn', 'edgeSide'),
  'belt-geometry': drive,
  'belt-tension': drive,
  'belt-reading': drive,
  'belt-takeup': drive,
  'belt-set': {
    takes: (at) => (fitsForces(at('readings')) ? [...DRIVE_SIZES, 'readings'] : DRIVE_SIZES),
    board: defineAsyncComponent(() => import('./boards/BeltSetSum.vue')),
  },
  'variable-sheave': of(() => import('./boards/SettingSum.vue')),
  'train-plan': of(() => import('./boards/TrainSum.vue')),
  'drum-tram': of(() => import('./boards/DrumSum.vue')),
  'gear-contact': of(() => import('./boards/GearSum.vue'), 'forward', 'reverse', 'wanted'),
  'vertical-flange': of(() => import('./boards/FlangeSum.vue')),
  'compare-sets': lineFound,
  growth: {
    takes: (at) => (fitsGrowth(at('machines')) ? ['machines'] : []),
    board: defineAsyncComponent(() => import('./boards/GrowthSum.vue')),
  },
  'hot-check': of(() => import('./boards/HotSum.vue'), 'cold', 'hot'),
  'shim-pack': leaves,
  'step-shim': leaves,
}
