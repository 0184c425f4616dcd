import { environment } from '../environment'
import { openDoor } from '../instruments/doorkeeper'
import { listenForInstruments } from '../instruments/hub'
import { listenAt, type Listener } from '../instruments/listener'
import { log } from '../log'

/** Instruments call at a port of their own, on loopback unless the settings say otherwise. */
export default defineNitroPlugin((nitro) => {
  listenForInstruments()
  const at = environment().HC_INSTRUMENTS
  if (!at) return
  let listener: Listener | null = null
  listenAt(at.host, at.port, openDoor()).then(
    (started) => {
      listener = started
    },
    // Another process of this program has it, or a stranger: everything else works without.
    (failure: unknown) => log.warn({ err: failure, ...at }, 'instruments can not call here'),
  )
  nitro.hooks.hook('close', () => listener?.close())
})
