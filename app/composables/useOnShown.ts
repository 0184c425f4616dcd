/** Does this whenever a dialog comes up: also where it was asked for before it had been loaded. */
export const useOnShown = (shown: Readonly<Ref<boolean>>, begin: () => unknown): void => {
  watch(shown, (now) => {
    if (now) void begin()
  })
  onMounted(() => {
    if (shown.value) void begin()
  })
}
