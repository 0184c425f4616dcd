import { said } from '../words'

/** Where a board can be taken away as a picture. */
export const pictureHead = { take: 'Take a picture' }

export const pictureHeadWords = said(pictureHead)
