import { ref, shallowRef, watch } from 'vue'
import { reachable } from './reach'

/** Looks for a newer version as often, beside each time the server comes back. */
const LOOK_EVERY_MS = 30 * 60_000

/** A newer version that somebody took is told so as often. */
const TELL_EVERY_MS = 1500

/** Whether this program opens on this device with no server. */
export const opensAlone = ref<'looking' | 'fetching' | 'yes' | 'insecure' | 'no'>('looking')

/** Takes a newer version, when somebody says so; null while there is none. */
export const takeNewer = shallowRef<(() => void) | null>(null)

/** What the browser answers when it could put the program among the device's own. */
export interface Installing extends Event {
  readonly prompt: () => Promise<unknown>
}
export const installing = shallowRef<Installing | null>(null)

/** What the page of another version was left with: its own parts are still there, so it is reloaded when it suits. */
const reload = () => location.reload()

const watchFor = (worker: ServiceWorkerRegistration) => {
  let asked = false
  // A worker that was asleep may miss the word, or the one before it still has something in hand: it is told again until it has taken over.
  const tell = () => worker.waiting?.postMessage('take-over')
  const take = () => {
    if (!asked) setInterval(tell, TELL_EVERY_MS)
    asked = true
    tell()
  }
  const look = () => {
    if (worker.active) opensAlone.value = 'yes'
    if (worker.waiting && navigator.serviceWorker.controller) takeNewer.value = take
  }
  const follow = () => worker.installing?.addEventListener('statechange', look)
  let controlled = navigator.serviceWorker.controller !== null
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    if (asked) reload()
    // Another window took it; the very first worker of a device changes nothing.
    else if (controlled) takeNewer.value = reload
    controlled = true
  })
  worker.addEventListener('updatefound', follow)
  opensAlone.value = 'fetching'
  follow()
  look()
  const again = () => void worker.update().catch(() => null)
  setInterval(again, LOOK_EVERY_MS)
  return again
}

/**
 * Keeps the program on the device and looks for newer versions. For as long as the program is open.
 * @param onNewerAtServer Calls back when the server says that it has a newer build.
 */
export const keepProgram = async (onNewerAtServer: (told: () => void) => void): Promise<void> => {
  window.addEventListener('beforeinstallprompt', (event) => {
    event.preventDefault()
    installing.value = event as Installing
  })
  window.addEventListener('appinstalled', () => (installing.value = null))
  const worker =
    'serviceWorker' in navigator ? await navigator.serviceWorker.register('/sw.js').catch(() => null) : null
  if (!worker) {
    opensAlone.value = window.isSecureContext ? 'no' : 'insecure'
    onNewerAtServer(() => (takeNewer.value = reload))
    return
  }
  const again = watchFor(worker)
  onNewerAtServer(again)
  watch(reachable, (now) => now && again())
}
