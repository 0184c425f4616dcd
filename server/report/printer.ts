import { dirname } from 'node:path'
import pdfmake from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'

/** Font files by family and style, all in one folder. */
export type ReportFonts = Readonly<Record<string, Readonly<Record<string, string>>>>

let ready: ReportFonts | undefined

const useFonts = (fonts: ReportFonts) => {
  pdfmake.setFonts(fonts as Record<string, Record<string, string>>)
  // A report draws on nothing but these fonts and what is handed to it.
  pdfmake.setUrlAccessPolicy(() => false)
  const folders = new Set(Object.values(fonts).flatMap((f) => Object.values(f).map((file) => dirname(file))))
  const files = pdfmake as unknown as { setLocalAccessPolicy(allow: (file: string) => boolean): void }
  files.setLocalAccessPolicy((file) => folders.has(dirname(file)))
  ready = fonts
}

/** Prints a document with the fonts that ship with the program. */
export const printPdf = async (document: TDocumentDefinitions, fonts: ReportFonts): Promise<Uint8Array> => {
  if (!ready) useFonts(fonts)
  return (await pdfmake.createPdf(document).getBuffer()) as Uint8Array
}
