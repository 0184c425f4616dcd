import { said } from '../words'

/** How a hot check was answered. */
export const hotAnswered = {
  tookNew: (where: string) => `The new cold target is ${where}.`,
  keptOld: 'The cold target was borne out and stays.',
  keptWhy: (why: string) => `The cold target stays: ${why}`,
  lines: { hot: 'hot', cold: 'cold, as left' },
}

export const hotAnsweredWords = said(hotAnswered)
