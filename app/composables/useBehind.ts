/** Milliseconds after which it is loaded though no moment was idle. */
const LATEST = 1500
/** Milliseconds that stand for an idle moment in browsers that tell of none. */
const SOON = 300

/** Whether the browser has had an idle moment since the view was drawn: what is large and not at hand is loaded then. */
export const useBehind = (): Readonly<Ref<boolean>> => {
  const idle = ref(false)
  const come = () => (idle.value = true)
  onMounted(() =>
    'requestIdleCallback' in window
      ? void window.requestIdleCallback(come, { timeout: LATEST })
      : void setTimeout(come, SOON),
  )
  return idle
}
