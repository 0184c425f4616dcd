import { said } from '../words'

/** The motor brought in, so that belts come off by hand. */
export const slackOff = {
  asked: 'Bring the motor in until the belts lift off by hand.',
  loose: 'The belts hang loose.',
  off: 'The belts are off.',
  detail: 'Base bolts first, eased alike, not taken out. Then evenly, so that the motor does not jam askew.',
  logs: { loose: 'Log: they hang loose', off: 'Log: belts are off' },
  view: {
    title: 'Slack off',
    rules: [
      'Ease the base bolts, all alike; leave them in.',
      'Belts are lifted off by hand. Never roll them off over a rim, never pry them: it breaks cords that nobody sees.',
      'Keep a set together, tied and marked with the machine’s tag, if it goes back on.',
    ],
    steps: 'In this order',
    words: 'Remark',
    passOver: 'Pass over slacking off',
    again: 'Slackened again',
  },
}

export const slackOffWords = said(slackOff)
