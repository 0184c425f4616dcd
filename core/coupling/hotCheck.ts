import { lineDifference, type Misalignment } from '../frame/planes'

/** The target that makes the machine straight when hot: cold less hot, as d(x) (chapter 2, Growth). */
export const targetFromHotCheck = (cold: Misalignment, hot: Misalignment): Misalignment =>
  lineDifference(cold, hot)
