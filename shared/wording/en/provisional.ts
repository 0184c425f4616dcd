import { said } from '../words'

/** A job closed cold whose target no hot check has borne out, and where it is expected to go. */
export const provisional = {
  provisional: 'No hot check has borne the cold target out: closed now, it is provisional.',
  expected: (where: string) => `As it warms it is expected to go ${where}.`,
}

export const provisionalWords = said(provisional)
