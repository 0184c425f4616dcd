import dayjs from 'dayjs'
import { whereWords } from './baseMoves'
import type { SheaveReset } from '../../core/register/settings'
import type { BeltMachine, SheavePlace } from '../../core/register/beltMachine'
import type { DriveLeft } from '../../core/stages/inspect/driveLeft'
import type { SettingFollows } from '../../core/stages/inspect/setting'
import { beltsWords, inspectWords, sheaveSettingWords } from './en'
import { figure } from './figures'
import { percent } from './forces'
import { eighths } from './lines'
import { plainMeaning, type Meaning } from './meaning'
import type { Telling } from './telling'

type Chosen = Pick<Telling, 'words'>

/** `1 turn`, `2 1/2 turns`. */
export const openWords = (turns: number, { words }: Chosen): string => {
  const w = inspectWords(words)
  return turns > 0 && turns < 1 ? `${eighths(turns)} turn` : w.turns(eighths(turns))
}

/** Amperes to a tenth, as a clamp shows them. */
export const ampsFigure = (a: number): string => a.toFixed(a >= 100 ? 0 : 1)

/** What the setting means, in one sentence for every state; `follows` null while nothing was read or typed. */
export const meaningOfSetting = (
  follows: SettingFollows | null,
  left: DriveLeft | null,
  telling: Telling,
): Meaning => {
  const w = sheaveSettingWords(telling.words)
  if (!follows) return plainMeaning('todo', w.headlines.todo, w.detail.todo)
  if (!follows.changed) return plainMeaning('done', w.headlines.same, w.detail.same)
  const by = openWords(Math.abs(follows.now - follows.before), telling)
  const was = openWords(follows.before, telling)
  return plainMeaning(
    'edge',
    (follows.now > follows.before ? w.headlines.opened : w.headlines.closedIn)(by),
    left ? w.detail.changed(dayjs(left.closedAt).format('D MMM'), was) : w.detail.changedRegister(was),
  )
}

/** What comes of a changed setting, sentence by sentence: line, belts, speed, motor, and how far to believe it. */
export const settingConsequences = (
  f: SettingFollows,
  machine: BeltMachine,
  telling: Telling,
): readonly string[] => {
  if (!f.changed) return []
  const w = sheaveSettingWords(telling.words)
  const speed = f.is.drivenRpm / f.was.drivenRpm - 1
  const { motor, leans } = f.tension
  const sits =
    leans === 'in'
      ? []
      : [
          w.sits[leans](
            whereWords(machine.base, motor > 0 ? 'away' : 'toward', telling),
            figure(Math.abs(motor), 'distance', telling.units, { unit: true }),
          ),
        ]
  const strain = f.is.verdict
  return [
    f.line ? (f.line.verdict === 'out' ? w.lineOut : w.lineIn) : w.lineUnknown,
    ...sits,
    (speed < 0 ? w.slower : w.faster)(percent(Math.abs(speed))),
    ...(f.is.current ? [speed < 0 ? w.eases : strain ? w.strains[strain] : ''] : []),
    w.load[machine.load ?? 'other'],
    ...(f.is.current ? [w.promise] : []),
  ].filter(Boolean)
}

/** A sheave that was set otherwise, in a line for Today and the machine’s page. */
export const resetWords = (
  { place, was, now }: SheaveReset,
  closedAt: string | null,
  telling: Chosen,
): { readonly what: string; readonly stale: string } => {
  const w = sheaveSettingWords(telling.words).today
  const sheave = (at: SheavePlace) => beltsWords(telling.words).sheaves[at]
  return {
    what: `${sheave(place)}: ${w.what(eighths(was), eighths(now))}`,
    stale: [closedAt ? w.since(dayjs(closedAt).format('D MMM')) : '', w.stale].filter(Boolean).join('; '),
  }
}
