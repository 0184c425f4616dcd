/** Minutes after which a device may lock; kept on the device, which hangs in a bay or lies in an office. */
export const LOCKS_AFTER = [5, 15, 60] as const
const USUAL = 15

/** How long this device stays open while nobody touches it. */
export const useLocksAfter = () => useLocalStorage<number>('hc.locksAfter', USUAL)
