import type { ShallowRef } from 'vue'

/**
 * What there was last that was whole, while what is typed isn't: a drawing stays where it is instead of making
 * the boxes jump. `stale` while it isn't of the present numbers.
 */
export const useLastWhole = <T extends object>(
  now: () => T | null,
): { readonly whole: ComputedRef<T | null>; readonly stale: ComputedRef<boolean> } => {
  const present = computed(now)
  const last: ShallowRef<T | null> = shallowRef(present.value)
  watch(
    present,
    (whole) => {
      if (whole !== null) last.value = whole
    },
    { flush: 'sync' },
  )
  return { whole: computed(() => present.value ?? last.value), stale: computed(() => present.value === null) }
}
