import { said } from '../words'

/** How the tension of a set goes from visit to visit, and when it will leave its band. */
export const beltCourse = {
  title: (unit: string) => `Belt tension, ${unit} a belt`,
  none: 'No closed job has read the belts yet.',
  told: (n: number) => `Belt tension over ${n === 1 ? 'one reading' : `${String(n)} readings`}`,
  read: 'read',
  band: 'band',
  forecast: 'forecast',
  day: 'Read',
  leaves: 'leaves its band',
  /** On Today: belts that leave their band before long. */
  today: {
    title: 'Belts leaving their band',
    left: 'by its readings it has left its band',
    about: (day: string) => `leaves its band about ${day}`,
    between: (day: string, earliest: string) => `leaves its band about ${day}, ${earliest} at the earliest`,
    due: (day: string) => `due ${day}`,
    late: (day: string) => `due only ${day}: come before that`,
    notDue: 'nobody is due there',
    look: 'Look',
    goOn: 'Go on',
  },
  /** In the close, beside the day to come back. */
  close: {
    title: 'Belts from here on',
    late: 'The band is left before the day that is chosen. Come back sooner.',
  },
  says: {
    /** Fewer than two readings since the tension was changed. */
    one: (day: string) =>
      `Not yet known: nothing was read since the belts were tensioned on ${day}. The next reading begins to tell.`,
    noBand: 'Not yet known: no band says where the belts count as slack.',
    noise:
      'Not yet known: the fall since they were tensioned is within what a gauge repeats to. Another reading will tell.',
    below: 'Below its band as it was read last.',
    rises: 'It does not fall: nothing says that it leaves its band.',
    stays: (settles: string, tau: string) =>
      `It falls ever more slowly and settles near ${settles} (two thirds of the fall in ${tau}): it stays in band as far as these readings tell.`,
    leaves: (day: string, settles: string) =>
      `It falls ever more slowly, toward ${settles}, and leaves its band about ${day}.`,
    between: (from: string, to: string) => `By these readings between ${from} and ${to}.`,
    betweenOpen: (from: string) => `By these readings not before ${from}, perhaps never.`,
    line: (day: string) =>
      `At the pace of the last two readings it leaves its band about ${day}; later if it slows down, as belts do.`,
    repeat: (percent: string) => `A gauge is taken to repeat to ${percent} (starting value).`,
  },
}

export const beltCourseWords = said(beltCourse)
