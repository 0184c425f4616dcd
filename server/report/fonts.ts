import { rmSync } from 'node:fs'
import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { ReportFonts } from './printer'

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

const layOut = async (): Promise<ReportFonts> => {
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
  return fonts
}

let ready: Promise<ReportFonts> | undefined

/**
 * The fonts as files, laid out once a process: text could be printed from memory, but the drawings take
 * their fonts from files alone.
 */
export const reportFonts = (): Promise<ReportFonts> => (ready ??= layOut())
