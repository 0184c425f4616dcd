import { touched } from './gate'
import { useLocksAfter } from './locksAfter'

const TOUCHES = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const
const LOOK_EVERY_MS = 15_000

/**
 * Locks the device once nobody has touched it for a while; not while instruments speak into the job in view, nor while the
 * server is out of reach, which alone can unlock it. For as long as the program is open.
 */
export const lockWhenIdle = (session: ReturnType<typeof useSession>): void => {
  const after = useLocksAfter()
  const touch = () => (touched.at = Date.now())
  for (const way of TOUCHES) document.addEventListener(way, touch, { passive: true })
  setInterval(() => {
    if (!session.device?.current) touch()
    if (Date.now() - touched.at > after.value * 60_000) void session.lock()
  }, LOOK_EVERY_MS)
}
