import { keepHandingIn } from '~/practice/handIn'
import { keepFresh } from './keepFresh'
import { keepProgram } from './program'
import { reachable } from './reach'

const FRESH_EVERY_MS = 10 * 60_000

/** All that this device does by itself behind the views: keeps the program and its copies, hands in what waits. */
export const beginDevice = (
  session: ReturnType<typeof useSession>,
  onNewerAtServer: (told: () => void) => void,
): void => {
  void keepProgram(onNewerAtServer)
  const fresh = () => {
    if (reachable.value && session.device?.current && session.device.current.role !== 'customer')
      void keepFresh(session.device.current.id)
  }
  keepHandingIn()
  fresh()
  watch([reachable, () => session.signedIn], fresh)
  setInterval(fresh, FRESH_EVERY_MS)
}
