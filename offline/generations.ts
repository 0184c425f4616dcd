const ANY_BUILD = /^hc-build-/

/**
 * Caches of builds that no window runs any more.
 * @param names All caches, the oldest first.
 * @param current The one of the build that takes over.
 * @returns All but it and the last one before it: a window may still run that.
 */
export const superseded = (names: readonly string[], current: string): readonly string[] =>
  names.filter((name) => ANY_BUILD.test(name) && name !== current).slice(0, -1)
