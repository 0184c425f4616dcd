const asData = async (url: string): Promise<string> => {
  const bytes = new Uint8Array(await (await fetch(url)).arrayBuffer())
  let text = ''
  for (const byte of bytes) text += String.fromCharCode(byte)
  return `data:font/woff2;base64,${btoa(text)}`
}

/** The program's own faces that a drawing is lettered in, as rules that carry them along. One that can't be had is left out. */
export const facesFor = async (lettering: string): Promise<string> => {
  const rules = [...document.styleSheets].flatMap((sheet) => [...sheet.cssRules])
  const faces = rules.filter((rule): rule is CSSFontFaceRule => rule instanceof CSSFontFaceRule)
  const told = faces.map(async ({ style, parentStyleSheet }) => {
    const family = style.getPropertyValue('font-family').replace(/["']/g, '')
    const [, url] = /url\("?([^")]+\.woff2)"?\)/.exec(style.getPropertyValue('src')) ?? []
    if (!url || !lettering.includes(family)) return ''
    const data = await asData(new URL(url, parentStyleSheet?.href ?? location.href).href).catch(() => '')
    if (data === '') return ''
    return `@font-face{font-family:"${family}";font-weight:${style.getPropertyValue('font-weight')};src:url(${data})}`
  })
  return (await Promise.all(told)).join('')
}
