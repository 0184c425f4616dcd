/** Whether the browser has had an idle moment since the view was drawn: what is large and not at hand is loaded then. */
export const useBehind = (): Readonly<Ref<boolean>> => {
  const idle = ref(false)
  onMounted(() => requestIdleCallback(() => (idle.value = true), { timeout: 3000 }))
  return idle
}
