import { said } from '../words'

/** A board as a picture to keep, to send or to print. */
export const picture = {
  title: 'The board as a picture',
  under: (about: string, day: string, time: string) => `${about} · ${day}, ${time}`,
  none: 'Nothing is drawn in this view.',
  svg: 'SVG, to be drawn at any size',
  png: 'PNG, dots',
}

export const pictureWords = said(picture)
