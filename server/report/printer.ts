import pdfmake from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'

const FACES = [
  {
    store: 'assets:fonts-next',
    file: 'atkinson-hyperlegible-next-latin-400-normal.woff',
    font: 'Text',
    style: 'normal',
  },
  {
    store: 'assets:fonts-next',
    file: 'atkinson-hyperlegible-next-latin-700-normal.woff',
    font: 'Text',
    style: 'bold',
  },
  {
    store: 'assets:fonts-mono',
    file: 'atkinson-hyperlegible-mono-latin-400-normal.woff',
    font: 'Figures',
    style: 'normal',
  },
  {
    store: 'assets:fonts-mono',
    file: 'atkinson-hyperlegible-mono-latin-700-normal.woff',
    font: 'Figures',
    style: 'bold',
  },
] as const

let ready: Promise<void> | undefined

const loadFonts = async (): Promise<void> => {
  const fonts: Record<string, Record<string, Buffer>> = {}
  for (const face of FACES) {
    const raw = (await useStorage(face.store).getItemRaw(face.file)) as Uint8Array | null
    if (!raw) throw new Error(`The report font ${face.file} is not in the build.`)
    fonts[face.font] = { ...fonts[face.font], [face.style]: Buffer.from(raw) }
  }
  // Fonts as bytes serve the drawings too; their types know only file names.
  pdfmake.setFonts(fonts as unknown as Parameters<typeof pdfmake.setFonts>[0])
  // A report draws on nothing but what is handed to it.
  pdfmake.setUrlAccessPolicy(() => false)
  ;(pdfmake as unknown as { setLocalAccessPolicy(allow: () => boolean): void }).setLocalAccessPolicy(() => false)
}

/** Prints a document with the fonts that ship with the program. */
export const printPdf = async (document: TDocumentDefinitions): Promise<Buffer> => {
  await (ready ??= loadFonts())
  return (await pdfmake.createPdf(document).getBuffer()) as Buffer
}
