import { describe, expect, it } from 'vitest'
import { secretFault } from './secret'

describe('a PIN or password', () => {
  it.each([
    ['7305', null],
    ['112233', null],
    ['730', 'pin-too-short'],
    ['1111', 'pin-too-plain'],
    ['1234', 'pin-too-plain'],
    ['98765', 'pin-too-plain'],
    ['1357913579135', 'pin-too-long'],
    ['a4b', 'password-too-short'],
    ['brass rule', null],
    ['', 'pin-too-short'],
    ['x'.repeat(201), 'secret-too-long'],
  ])('of the works: %s', (secret, fault) => expect(secretFault(secret, 'millwright')).toBe(fault))

  it.each([
    ['7305', 'password-of-customer'],
    ['730573057305', 'password-of-customer'],
    ['short one', 'password-of-customer'],
    ['tile after tile', null],
  ])('of a customer: %s', (secret, fault) => expect(secretFault(secret, 'customer')).toBe(fault))
})
