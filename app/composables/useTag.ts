/** An address as a tag to be read by a phone, drawn on this device: a picture's address; empty until it is there. */
export const useTag = (address: Readonly<Ref<string>>): Readonly<Ref<string>> =>
  computedAsync(
    async () => {
      if (address.value === '') return ''
      const text = address.value
      const { renderSVG } = await import('uqr')
      return `data:image/svg+xml,${encodeURIComponent(renderSVG(text, { border: 2 }))}`
    },
    '',
    { onError: () => null },
  )
