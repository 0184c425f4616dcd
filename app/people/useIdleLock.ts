/** Minutes after which a device may lock; kept on the device, which hangs in a bay or lies in an office. */
export const LOCKS_AFTER = [5, 15, 60] as const
const USUAL = 15
const TOUCHES = ['pointerdown', 'pointermove', 'keydown', 'wheel', 'touchstart'] as const
const LOOK_EVERY_MS = 15_000

let touched = Date.now()

/** The device is at work, though nobody may touch it: instruments speak into the job in view, and eyes are on the needles. */
export const atWork = (): void => {
  touched = Date.now()
}

/** How long this device stays open while nobody touches it. */
export const useLocksAfter = () => useLocalStorage<number>('hc.locksAfter', USUAL)

/** Locks the device once nobody has touched it for a while; not while the server is out of reach, which alone can unlock it. */
export const useIdleLock = (): void => {
  const session = useSession()
  const after = useLocksAfter()
  for (const touch of TOUCHES) useEventListener(document, touch, atWork, { passive: true })
  useIntervalFn(() => {
    if (!session.device?.current) atWork()
    if (Date.now() - touched > after.value * 60_000) void session.lock()
  }, LOOK_EVERY_MS)
}
