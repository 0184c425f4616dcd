import { closingWords } from '../../../shared/wording/en'
import type { FootedState } from '../../../core/jobs/footed'
import type { ColdTarget } from '../../../core/stages/target/target'
import { registerChanges } from '../../../core/stages/close/registerChanges'
import type { FlangeState } from '../../../core/jobs/flange'
import { flangeRegisterChanges } from '../../../core/stages/close/flangeRegister'
import { flangeRegisterWords } from '../../../shared/wording/flangeRegister'
import { registerWords } from '../../../shared/wording/registerChanges'
import { block } from '../blocks'
import type { Section } from '../section'

/** What the register took over from a closed job; nothing while it is open. */
export const registerTaken: Section<
  Pick<FootedState, 'machine' | 'packs' | 'setUp' | 'bolts' | 'closing'> & {
    readonly coldTarget?: ColdTarget
  }
> = (state, { telling }) => {
  const lines = state.closing ? registerWords(registerChanges(state), telling) : []
  return lines.length > 0 ? [block(closingWords(telling.words).register.name, { ul: [...lines] })] : []
}

/** What the register took over from a closed job on a flange; nothing while it is open. */
export const flangeTaken: Section<FlangeState> = (state, { telling }) => {
  const lines = state.closing
    ? flangeRegisterWords(flangeRegisterChanges(state), state.shape.bolts, telling)
    : []
  return lines.length > 0 ? [block(closingWords(telling.words).register.name, { ul: [...lines] })] : []
}
