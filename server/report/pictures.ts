import type { Content } from 'pdfmake/interfaces'
import { QUIET } from './blocks'

/** A photograph as it is printed; `picture` is missing while it is on its way from a device. */
export interface PrintedPicture {
  readonly picture: string | undefined
  readonly caption: string
}

/** Photographs two beside each other, each with what it shows. */
export const pictureRows = (pictures: readonly PrintedPicture[], notHere: string): readonly Content[] => {
  const cells = pictures.map(({ picture, caption }): Content => ({
    stack: [
      picture ? { image: picture, fit: [245, 190] } : { text: notHere, color: QUIET, margin: [0, 30, 0, 30] },
      { text: caption, fontSize: 8, color: QUIET },
    ],
    unbreakable: true,
  }))
  return Array.from({ length: Math.ceil(cells.length / 2) }, (_, i): Content => ({
    columns: [cells[2 * i] ?? '', cells[2 * i + 1] ?? ''],
    columnGap: 14,
    margin: [0, 4, 0, 6],
    unbreakable: true,
  }))
}
