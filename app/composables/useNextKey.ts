/** Enter does the next thing wherever nobody types and no control would take it. */
export const useNextKey = (next: () => unknown) =>
  useEventListener(document, 'keydown', (event) => {
    if (event.key !== 'Enter' || event.repeat) return
    const on = event.target
    if (
      on instanceof HTMLElement &&
      on.closest('button, a, input, textarea, summary, [role="dialog"], [role="combobox"]')
    )
      return
    event.preventDefault()
    next()
  })
