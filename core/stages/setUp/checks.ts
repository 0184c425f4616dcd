import { feelerLimits } from '../../register/hubs'
import type { MeasuredMachine } from '../../register/measuredMachine'
import type { MethodGiven } from '../../methods/methods'

/** What a careful hand does to the instrument before it reads. */
export const SET_UP_CHECKS = [
  'tight',
  'preload',
  'push-test',
  'clearance',
  'marked',
  'floats-pushed',
  'hubs-clean',
  'each-own-machine',
  'cords-clear',
  'sign-proved',
] as const
export type SetUpCheck = (typeof SET_UP_CHECKS)[number]

const DIALS: readonly SetUpCheck[] = ['tight', 'preload', 'push-test', 'clearance', 'marked']

/** The checks that belong to a method on this machine; a single face dial on a floating shaft wants it pushed each time. */
export const checksFor = (
  machine: MeasuredMachine,
  how: MethodGiven['method'],
  faces = 0,
): readonly SetUpCheck[] => {
  switch (how) {
    case 'rim-face':
      return faces < 2 && feelerLimits(machine).float > 0 ? [...DIALS, 'floats-pushed'] : DIALS
    case 'reverse-rim':
      return DIALS
    case 'spacer-faces':
      return feelerLimits(machine).float > 0 ? [...DIALS, 'floats-pushed'] : DIALS
    case 'gaps':
      return ['hubs-clean']
    case 'heads':
      return ['tight', 'each-own-machine', 'cords-clear', 'clearance', 'marked']
    case 'values':
    case 'foot-values':
      return ['sign-proved']
  }
}
