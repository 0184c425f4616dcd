import { safetyWords } from './en'
import { handsMayGo, type Safety, type PowerBack } from '../../core/stages/makeSafe/safety'
import type { Telling } from './telling'

/** Why the power is back. */
export const powerWhy = (entry: PowerBack, { words }: Pick<Telling, 'words'>): string =>
  entry.kind === 'power-restored'
    ? entry.payload.why
    : entry.kind === 'bump-begun'
      ? safetyWords(words).bumped(entry.payload.by)
      : safetyWords(words).ranHot

/** What every other stage says of the lockout; null while hands may go to the machine or the job is closed. */
export const lockoutWarning = (safety: Safety, closed: boolean, { words }: Telling): string | null =>
  closed || handsMayGo(safety)
    ? null
    : safety.lost
      ? safetyWords(words).lostHere
      : safetyWords(words).missingHere
