/**
 * What is odd is asked, never silent and never in the way: the first press shows the questions, a
 * second one with the same questions goes ahead. A question that no longer holds goes away by itself.
 */
export const useAskOnce = (questions: () => readonly string[]) => {
  const asked = ref('')
  const now = computed(() => questions().join('\n'))
  const shown = computed(() => (asked.value !== '' && asked.value === now.value ? questions() : []))
  /** Whether to go ahead; shows the questions when they have not been seen yet. */
  const mayGo = (): boolean => {
    const seen = now.value === '' || now.value === asked.value
    asked.value = seen ? '' : now.value
    return seen
  }
  return { shown, mayGo }
}
