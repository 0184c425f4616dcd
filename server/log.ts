import { pino } from 'pino'

/** Structured log on stdout, one JSON object a line; the level is set once the settings are checked. */
export const log = pino({
  base: null,
  timestamp: pino.stdTimeFunctions.isoTime,
})
