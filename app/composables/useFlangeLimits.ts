import type { FlangeState } from '~~/core/jobs/flange'

/** What a flange is drawn against: the ring of its offset, and the tilt it may have; null where a window has no one size. */
export const useFlangeLimits = (state: () => FlangeState) =>
  computed(() => {
    const { tolerance } = state()
    return tolerance.form === 'offset-slope'
      ? { offset: tolerance.offset, tilt: tolerance.slope }
      : { offset: null, tilt: null }
  })
