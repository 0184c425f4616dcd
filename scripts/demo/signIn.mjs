/** How to sign in to the demo works, which is there to be tried. */

/** Everybody's PIN there. */
export const DEMO_PIN = '1480'
/** @type {Readonly<Record<'day' | 'night' | 'apprentice' | 'lead' | 'planner', string>>} */
export const DEMO_NAMES = {
  day: 'Day-shift millwright',
  night: 'Night-shift millwright',
  apprentice: 'Apprentice',
  lead: 'Maintenance lead',
  planner: 'Planner',
}
export const DEMO_CUSTOMER = { name: 'Kiln yard tenant', secret: 'kiln yard 1480' }

/**
 * Signs people in on one device, one after the other, and answers the cookie that it holds then; the last one is writing.
 * @param {string} url Where the program answers.
 * @param {readonly string[]} names
 * @param {string} secret
 * @param {string} cookie What the device holds already.
 * @returns {Promise<string>}
 */
export const signIn = async (url, names, secret = DEMO_PIN, cookie = '') => {
  let held = cookie
  for (const name of names) {
    const answer = await fetch(`${url}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...(held ? { cookie: held } : {}) },
      body: JSON.stringify({ name, secret }),
    })
    if (!answer.ok) throw new Error(`${name} could not sign in: ${await answer.text()}`)
    held = (answer.headers.getSetCookie()[0] ?? '').split(';')[0] ?? ''
  }
  return held
}

/**
 * The cookie of a device on which everybody of the demo works has signed in; this one is writing.
 * @param {string} url
 * @param {keyof typeof DEMO_NAMES} writing
 */
export const signInAll = (url, writing = 'lead') =>
  signIn(url, [
    ...Object.values(DEMO_NAMES).filter((name) => name !== DEMO_NAMES[writing]),
    DEMO_NAMES[writing],
  ])
