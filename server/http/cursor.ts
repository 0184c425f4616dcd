import { wordIssue } from '../../shared/wording/wordIssue'
import { issue } from '../../shared/issue'
import { isUuid } from '../../shared/text'
import { Refused } from './refusal'

/** Where a page ended: the moment it is ordered by, and the id that settles ties. */
interface Cursor {
  readonly at: string
  readonly id: string
}

/** A cursor as it goes over the wire. */
export const cursorOf = (at: string, id: string): string => Buffer.from(`${at}|${id}`).toString('base64url')

/** Reads a cursor back; one that nobody gave out is refused with a sentence. */
export const readCursor = (cursor: string): Cursor => {
  const [at = '', id = ''] = Buffer.from(cursor, 'base64url').toString('utf8').split('|')
  if (!Number.isFinite(Date.parse(at)) || !isUuid(id)) {
    const message = wordIssue(issue('bad-cursor'))
    throw new Refused(422, 'bad-input', message, { issues: [{ path: 'after', message }] })
  }
  return { at: new Date(at).toISOString(), id }
}
