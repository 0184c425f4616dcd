/** One thing that is sent from a form: whether it is under way, and what the server said against it, as a whole and by box. */
export const useSending = () => {
  const working = ref(false)
  const message = ref('')
  const refused = ref<Readonly<Record<string, string>>>({})
  const clear = () => {
    message.value = ''
    refused.value = {}
  }
  /** True when it was taken. */
  const send = async (work: () => Promise<unknown>): Promise<boolean> => {
    working.value = true
    clear()
    try {
      await work()
      return true
    } catch (error) {
      if (!(error instanceof ApiFailure)) throw error
      message.value = error.message
      refused.value = Object.fromEntries((error.answer.issues ?? []).map((i) => [i.path, i.message]))
      return false
    } finally {
      working.value = false
    }
  }
  return { working, message, refused, clear, send }
}
