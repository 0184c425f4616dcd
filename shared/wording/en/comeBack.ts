import { said } from '../words'
import type { RuleFrom } from '../../../core/comeBack/rules'

const times = (n: number, one: string, many: string) => `${String(n)} ${n === 1 ? one : many}`

/** When to come back: what is due, when halls stand, the rules, calendars to subscribe to. */
export const comeBack = {
  title: 'Calendar',
  rule: {
    days: (n: number) => times(n, 'day', 'days'),
    running: (n: number) => `${times(n, 'running hour', 'running hours')} after the start`,
    months: (n: number) => times(n, 'month', 'months'),
    hours: (hours: number, week: number, weeks: number) =>
      `${String(hours)} running hours, ${times(weeks, 'week', 'weeks')} at ${String(week)} h a week`,
    from: {
      machine: (rule: string) => `By this machine’s rule: ${rule}.`,
      works: (rule: string) => `By the works’ rule: ${rule}.`,
      starting: (rule: string) =>
        `Starting value: ${rule}. A rule of the works or the machine goes before it.`,
    } satisfies Record<RuleFrom, (rule: string) => string>,
  },
  late: (days: number) => `${times(days, 'day', 'days')} over`,
  inDays: (days: number) => (days === 0 ? 'today' : days === 1 ? 'tomorrow' : `in ${String(days)} days`),
  lands: (when: string) => `on the stop ${when}`,
  landsLate: (when: string, days: number) =>
    `on the stop ${when}, ${times(days, 'day', 'days')} after its day`,
  landsEarly: (when: string, days: number) =>
    `on the stop ${when}, ${times(days, 'day', 'days')} before its day`,
  asks: 'ask for a stop',
  start: 'Start',
  goOn: 'Go on',
  left: (verdict: string, day: string) => `${verdict} as left ${day}`,
  key: { lands: 'tag', stands: 'stands that day', asks: 'ask for a stop', hall: 'hall stands' },
  month: { earlier: 'Earlier', later: 'Later', today: 'Today' },
  overdue: 'Overdue returns',
  dueThisWeek: 'Due this week',
  further: 'Due later',
  none: 'Nothing is due.',
  stops: {
    title: 'Planned stops',
    add: 'Plan a stop',
    change: 'Change the stop',
    none: 'No stop is planned. Due work asks for one.',
    hall: 'Hall',
    day: 'Day',
    from: 'From',
    until: 'Until',
    overnight: 'It ends on the day after.',
    note: 'Note',
    weekly: 'Every week, so many times',
    save: 'Save the stop',
    cancel: 'Call it off',
    again: 'It stands after all',
    cancelled: 'called off',
    hours: (from: string, until: string) => `${from}–${until}`,
    needsHall: 'Say which hall stands.',
    needsDay: 'Give the day.',
    needsHour: 'Give the hour, like 6 or 14:30.',
    edit: (area: string, day: string) => `Change the stop of ${area} on ${day}`,
  },
  rules: {
    title: 'Rules of the works',
    detail:
      'A machine’s own rule goes before them; it stands in its register. Days that were signed for stay.',
    hotCheckDays: 'Hot check, days after a cold closing',
    firstWeeksDays: 'First look, days after a move',
    beltsHours: 'New belts, running hours to the first look',
    beltsDays: 'New belts, days to the second look',
    beltsWeekDays: 'New belts, days to the third look',
    regularMonths: 'Regular look, months',
    regularHours: 'or running hours, if sooner',
    hoursPerWeek: 'Hours it runs in a week',
    change: 'Change the rules',
    save: 'Save the rules',
    starting: (what: string) => `${what} (starting value)`,
    none: 'not used',
    group: 'When to come back',
  },
  feeds: {
    title: 'Calendar feeds',
    detail:
      'A calendar program that subscribes shows what is due and keeps it up to date. Whoever has the address can read it: give it to nobody else, and end it when it got about.',
    ofWorks: 'Returns of the works',
    of: (person: string) => `Returns of ${person}`,
    make: 'Make one',
    whose: 'Whose returns',
    works: 'the whole works',
    makeTitle: 'A calendar to subscribe to',
    makeIt: 'Make it',
    once: 'The address is shown this once. Copy it now, or take it with a phone.',
    copy: 'Copy the address',
    copied: 'Copied.',
    copyByHand: 'Copying is not allowed here: mark the address and copy it by hand.',
    tag: (address: string) => `A tag with the address ${address}`,
    made: (day: string) => `made ${day}`,
    read: (when: string) => `read ${when}`,
    neverRead: 'never read',
    ended: (day: string) => `ended ${day}`,
    end: 'End it',
    none: 'Nobody subscribes yet.',
  },
  ics: {
    visit: (tag: string, name: string, what: string) => `${tag} ${name}: ${what}`,
    asks: (tag: string, name: string, what: string) => `${tag} ${name}: ${what} (ask for a stop)`,
    left: (verdict: string, closed: string, due: string) => `${verdict} as left ${closed}. Due ${due}.`,
    stands: (area: string) => `${area} stands`,
  },
}

export const comeBackWords = said(comeBack)
