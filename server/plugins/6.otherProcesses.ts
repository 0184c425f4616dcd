import { closeLine, openLine } from '../database/otherProcesses'

/** The line to the other server processes, once everybody has said what they want to hear. */
export default defineNitroPlugin((nitro) => {
  openLine()
  nitro.hooks.hook('close', closeLine)
})
