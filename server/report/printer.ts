import { rmSync } from 'node:fs'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
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

/**
 * Lays the fonts out as files, once a process: text could be printed from memory, but the drawings
 * take their fonts from files alone.
 */
const loadFonts = async (): Promise<void> => {
  const folder = await mkdtemp(join(tmpdir(), 'hushed-caliper-fonts-'))
  const fonts: Record<string, Record<string, string>> = {}
  for (const face of FACES) {
    const raw = (await useStorage(face.store).getItemRaw(face.file)) as Uint8Array | null
    if (!raw) throw new Error(`The report font ${face.file} is not in the build.`)
    const file = join(folder, face.file)
    await writeFile(file, raw)
    fonts[face.font] = { ...fonts[face.font], [face.style]: file }
  }
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }))
  pdfmake.setFonts(fonts)
  // A report draws on nothing but these fonts and what is handed to it.
  pdfmake.setUrlAccessPolicy(() => false)
  const files = pdfmake as unknown as { setLocalAccessPolicy(allow: (file: string) => boolean): void }
  files.setLocalAccessPolicy((file) => dirname(file) === folder)
}

/** Prints a document with the fonts that ship with the program. */
export const printPdf = async (document: TDocumentDefinitions): Promise<Buffer> => {
  await (ready ??= loadFonts())
  return (await pdfmake.createPdf(document).getBuffer()) as Buffer
}
