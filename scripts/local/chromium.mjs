import { existsSync } from 'node:fs'
import { installDebian } from './debian.mjs'
import { timed } from './say.mjs'

const CHROMIUM = '/usr/bin/chromium'

/** Installs Debian's Chromium when it is missing; answers its path. */
export const requireChromium = async () => {
  if (!existsSync(CHROMIUM))
    await timed('Installing Chromium for the browser tests', () => installDebian(['chromium']))
  return CHROMIUM
}
