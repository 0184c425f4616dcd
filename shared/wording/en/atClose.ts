import { said } from '../words'

/** What stands open as a job is closed. */
export const atClose = {
  pinsOut:
    'The locating pins were pulled and nobody wrote that they are back. Refit or ream them, and log it under Look and clean.',
  report: (place: string, words: string) =>
    words ? `To report, ${place.toLowerCase()}: ${words}` : `To report: ${place.toLowerCase()}.`,
  unproved: (steps: string) => `Not confirmed in Prove: ${steps}.`,
}

export const atCloseWords = said(atClose)
