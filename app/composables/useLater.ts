/**
 * Whether the dialogs of a view are loaded: at the first idle moment behind the view itself, before a hand is there
 * and while the network is, or as soon as one of them is asked for. Use as `v-if` of a Lazy component; it stays.
 */
export const useLater = (...asked: readonly Readonly<Ref<boolean>>[]): Readonly<Ref<boolean>> => {
  const behind = useBehind()
  return computed(() => behind.value || asked.some((a) => a.value))
}
