import { createHash } from 'node:crypto'

/** A UUID that stands for what is said: the same again gives the same, whoever asks. */
export const idFrom = (said: string): string => {
  const h = createHash('sha256').update(said).digest('hex')
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-a${h.slice(17, 20)}-${h.slice(20, 32)}`
}
