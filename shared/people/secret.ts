import type { Role } from '../../core/logbook/may'
import type { IssueCode } from '../issue'

/** Digits of a PIN at least and at most. */
export const PIN = { least: 4, most: 12 } as const
/** Characters of a password at least, and what anything typed there may have at most. */
export const PASSWORD = { least: 8, leastOfCustomer: 10, most: 200 } as const

const isRun = (digits: string): boolean =>
  [-1, 0, 1].some((step) =>
    [...digits].every((d, i) => i === 0 || Number(d) - Number(digits[i - 1]) === step),
  )

/**
 * What is wrong with a PIN or password that somebody chooses; null where it will do. A PIN is digits, not all alike and
 * no run; whoever comes from outside the works has a password.
 */
export const secretFault = (secret: string, role: Role): IssueCode | null => {
  if (secret.length > PASSWORD.most) return 'secret-too-long'
  const digits = /^\d*$/.test(secret)
  if (role === 'customer')
    return secret.length < PASSWORD.leastOfCustomer || digits ? 'password-of-customer' : null
  if (!digits) return secret.length < PASSWORD.least ? 'password-too-short' : null
  if (secret.length < PIN.least) return 'pin-too-short'
  if (secret.length > PIN.most) return 'pin-too-long'
  return isRun(secret) ? 'pin-too-plain' : null
}
