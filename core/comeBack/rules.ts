import type { OnlyFor } from '../register/drive'
import type { DueFor } from '../stages/close/due'
import { addDays, addMonths, type Day } from './days'

/** When to come back; null where nothing is said. Of the works or of one machine. */
export interface ComeBackRules {
  /** Days after a cold closing that waits for its hot check. */
  readonly hotCheckDays: number | null
  /** Days after a move, for the first look. */
  readonly firstWeeksDays: number | null
  /** Running hours after new belts, days after that, days after that again: while they bed in. */
  readonly beltsHours: number | null
  readonly beltsDays: number | null
  readonly beltsWeekDays: number | null
  /** The regular look: by the calendar, by running hours, or whichever comes first. */
  readonly regularMonths: number | null
  readonly regularHours: number | null
  /** How long it runs in a week, for the running hours. */
  readonly hoursPerWeek: number | null
}

export const NO_RULES: ComeBackRules = {
  hotCheckDays: null,
  firstWeeksDays: null,
  beltsHours: null,
  beltsDays: null,
  beltsWeekDays: null,
  regularMonths: null,
  regularHours: null,
  hoursPerWeek: null,
}

/** What is said, in the order it is asked. */
export const RULE_NAMES = Object.keys(NO_RULES) as readonly (keyof ComeBackRules)[]
/** What a machine of one kind of drive has nothing to say of. */
export const RULES_ONLY_FOR: OnlyFor<keyof ComeBackRules> = {
  hotCheckDays: ['coupled'],
  beltsHours: ['belt'],
  beltsDays: ['belt'],
  beltsWeekDays: ['belt'],
}

/** Used where neither machine nor works says anything (docs/come-back.md). */
export const STARTING_RULES = {
  hotCheckDays: 14,
  firstWeeksDays: 28,
  beltsHours: 1,
  beltsDays: 1,
  beltsWeekDays: 7,
  regularMonths: 12,
} as const
const OTHER_DAYS = 30

/** Whose rule it is, nearest first. */
export type RuleFrom = 'machine' | 'works' | 'starting'

/** A day to come back, and the rule it comes from. */
export interface DueByRule {
  readonly on: Day
  readonly from: RuleFrom
  readonly rule:
    | { readonly by: 'days'; readonly days: number }
    | { readonly by: 'running'; readonly hours: number }
    | { readonly by: 'months'; readonly months: number }
    | { readonly by: 'hours'; readonly hours: number; readonly hoursPerWeek: number }
}

/** Days until so many running hours are run. */
export const daysForHours = (hours: number, hoursPerWeek: number): number =>
  Math.max(1, Math.floor((7 * hours) / hoursPerWeek))

const byDays = (days: number | null, today: Day, from: RuleFrom): DueByRule | null =>
  days === null ? null : { on: addDays(today, days), from, rule: { by: 'days', days } }

/** The regular look by one set of rules; the hours of a week may be the other's, where only that one says them. */
const regular = (
  { regularMonths: months, regularHours: hours }: ComeBackRules,
  hoursPerWeek: number | null,
  today: Day,
  from: RuleFrom,
): DueByRule | null => {
  const calendar: DueByRule | null =
    months === null ? null : { on: addMonths(today, months), from, rule: { by: 'months', months } }
  const running: DueByRule | null =
    hours === null || hoursPerWeek === null
      ? null
      : {
          on: addDays(today, daysForHours(hours, hoursPerWeek)),
          from,
          rule: { by: 'hours', hours, hoursPerWeek },
        }
  if (calendar && running) return running.on < calendar.on ? running : calendar
  return running ?? calendar
}

/**
 * When to come back for something that is closed on `today`: by the machine's own rule, else by the works',
 * else by the starting value.
 */
export const dueByRule = (
  what: DueFor,
  today: Day,
  rules: {
    readonly machine?: ComeBackRules | null | undefined
    readonly works?: ComeBackRules | null | undefined
  },
): DueByRule => {
  // Rules kept before a name of theirs was asked say nothing of it.
  const machine = { ...NO_RULES, ...rules.machine }
  const works = { ...NO_RULES, ...rules.works }
  const starting = (days: number): DueByRule => ({
    on: addDays(today, days),
    from: 'starting',
    rule: { by: 'days', days },
  })
  switch (what) {
    case 'hot-check':
      return (
        byDays(machine.hotCheckDays, today, 'machine') ??
        byDays(works.hotCheckDays, today, 'works') ??
        starting(STARTING_RULES.hotCheckDays)
      )
    case 'first-weeks':
      return (
        byDays(machine.firstWeeksDays, today, 'machine') ??
        byDays(works.firstWeeksDays, today, 'works') ??
        starting(STARTING_RULES.firstWeeksDays)
      )
    case 'belts-hour': {
      // Read again on the same day, before anybody goes home.
      const byHours = (hours: number | null, from: RuleFrom): DueByRule | null =>
        hours === null ? null : { on: today, from, rule: { by: 'running', hours } }
      return (
        byHours(machine.beltsHours, 'machine') ??
        byHours(works.beltsHours, 'works') ?? {
          on: today,
          from: 'starting',
          rule: { by: 'running', hours: STARTING_RULES.beltsHours },
        }
      )
    }
    case 'belts-day':
      return (
        byDays(machine.beltsDays, today, 'machine') ??
        byDays(works.beltsDays, today, 'works') ??
        starting(STARTING_RULES.beltsDays)
      )
    case 'belts-week':
      return (
        byDays(machine.beltsWeekDays, today, 'machine') ??
        byDays(works.beltsWeekDays, today, 'works') ??
        starting(STARTING_RULES.beltsWeekDays)
      )
    case 'regular': {
      const months = STARTING_RULES.regularMonths
      const week = machine.hoursPerWeek ?? works.hoursPerWeek
      return (
        regular(machine, week, today, 'machine') ??
        regular(works, week, today, 'works') ?? {
          on: addMonths(today, months),
          from: 'starting',
          rule: { by: 'months', months },
        }
      )
    }
    case 'other':
      return starting(OTHER_DAYS)
  }
}
