import { isUuid } from '../../shared/text'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound } from './refusal'

/** The id in a part of an address, in small letters; a 404 where it can't be anything's. */
export const idIn = (part: string): string => {
  const id = part.toLowerCase()
  if (!isUuid(id)) throw notFound(answerWords.nothingHere)
  return id
}
