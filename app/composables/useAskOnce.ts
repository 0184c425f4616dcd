/**
 * What is odd is asked, never silent and never in the way: the first press shows the questions, a
 * second one with the same questions goes ahead.
 */
export const useAskOnce = () => {
  const asked = ref('')
  const shown = ref<readonly string[]>([])
  /** Whether to go ahead; shows the questions when they have not been seen yet. */
  const mayGo = (questions: readonly string[]): boolean => {
    const now = questions.join('\n')
    if (now === '' || now === asked.value) {
      asked.value = ''
      shown.value = []
      return true
    }
    asked.value = now
    shown.value = questions
    return false
  }
  const forget = () => {
    asked.value = ''
    shown.value = []
  }
  return { shown, mayGo, forget }
}
