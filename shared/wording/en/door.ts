import { said } from '../words'

/** What the device says at its own door, before and instead of the server. */
export const door = {
  notForRole: (entry: string, role: string) =>
    `${entry} is not for the role of ${role}. Ask a millwright or the lead to write it.`,
  needsSecond: (entry: string, role: string) =>
    `${entry} takes the PIN of a second person where the role is ${role}. Let a millwright or the lead stand by it.`,
  outOfReach: 'The program can’t be reached. What you type stays on this device and is sent when it is back.',
}

export const doorWords = said(door)
