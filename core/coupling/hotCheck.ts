import { lineDifference, type Misalignment } from '../frame/planes'

/** The target that makes the machine straight when hot: cold less hot, as d(x) (docs/methods/hot-check.md). */
export const targetFromHotCheck = (cold: Misalignment, hot: Misalignment): Misalignment =>
  lineDifference(cold, hot)
