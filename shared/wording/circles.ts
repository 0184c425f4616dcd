import { circlesWords } from './en'
import type { Telling } from './telling'

/** A circle by its word, as it stands in a sentence. */
export const circleName = (circle: string, { words }: Pick<Telling, 'words'>): string =>
  circlesWords(words)[circle] ?? circle
