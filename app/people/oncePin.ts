import type { Role } from '~~/core/logbook/may'
import { secretFault } from '~~/shared/people/secret'

const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789'

const drawn = (from: string, n: number): string =>
  [...crypto.getRandomValues(new Uint32Array(n))].map((x) => from.charAt(x % from.length)).join('')

/** A PIN, or for a customer a password, that a lead gives somebody: it lets them in once. */
export const oncePin = (role: Role): string => {
  for (;;) {
    const made = role === 'customer' ? drawn(LETTERS, 12) : drawn('0123456789', 6)
    if (secretFault(made, role) === null) return made
  }
}
