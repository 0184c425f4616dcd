/** Milliseconds after a view is drawn: long enough to be out of its way, short enough to be there before a hand is. */
const AFTER = 1500

/**
 * Whether the dialogs of a view are loaded: a moment after the view itself, while the network is there, or
 * as soon as one of them is asked for. Use as `v-if` of a Lazy component; it stays.
 */
export const useLater = (...asked: readonly Readonly<Ref<boolean>>[]): Readonly<Ref<boolean>> => {
  const drawn = useTimeout(AFTER)
  return computed(() => drawn.value || asked.some((a) => a.value))
}
