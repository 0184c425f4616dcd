import type { BeltMachine, SheavePlace } from './beltMachine'
import { SAME_SETTING, type Settings } from './setSheaves'

/** A sheave that was set otherwise, turns open. */
export interface SheaveReset {
  readonly place: SheavePlace
  readonly was: number
  readonly now: number
}

/** How far the sheaves of a drive that can be set stand open; by place, empty where none can. */
export const settingsOf = ({ sheaves }: Pick<BeltMachine, 'sheaves'>): Settings => {
  const set = (['motor', 'driven'] as const).flatMap((place) => {
    const { build } = sheaves[place]
    return build?.kind === 'variable' ? [[place, build.turnsOpen] as const] : []
  })
  return Object.fromEntries(set)
}

/** The first sheave that stands otherwise than `left` says; null where none does. */
export const sheaveReset = (left: Settings, now: Settings): SheaveReset | null => {
  for (const place of ['motor', 'driven'] as const) {
    const [was, is] = [left[place], now[place]]
    if (was !== undefined && is !== undefined && Math.abs(is - was) >= SAME_SETTING)
      return { place, was, now: is }
  }
  return null
}
