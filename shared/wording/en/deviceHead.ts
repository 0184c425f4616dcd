import { said } from '../words'

const entries = (n: number) => `${n} ${n === 1 ? 'entry' : 'entries'}`

/** At the head of every view, where this device and the server are not as usual. */
export const deviceHead = {
  outOfReach: 'The server is out of reach.',
  asOf: (moment: string) => `What you see is this device’s copy of ${moment}.`,
  waiting: (n: number, since: string) => `${entries(n)} waiting since ${since}`,
  forPin: (n: number, name: string) => `${entries(n)} waiting for ${name}’s PIN`,
  needsAWord: (n: number) => `${entries(n)} ${n === 1 ? 'needs' : 'need'} a word.`,
  full: (n: number) =>
    `This device is full: ${entries(n)} ${n === 1 ? 'stands' : 'stand'} in this window only. Keep it open.`,
  newer: 'A newer version is here.',
  take: 'Take it now',
  later: 'Later',
  more: 'On this device',
}

export const deviceHeadWords = said(deviceHead)
