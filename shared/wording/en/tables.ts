import { turned } from '../otherEnd'
import { sided } from '../words'

/** Heads of the short tables of figures. */
export const tables = {
  now: 'now',
  after: 'after',
  found: 'found',
  limit: 'limit',
  asFound: 'as found',
  asLeft: 'as left',
  hot: 'hot',
  unit: 'unit',
  planned: 'planned',
  made: 'made',
  measured: 'measured',
  left: 'left',
  right: 'right',
  motor: 'motor',
  driven: 'driven',
  position: 'Position',
  grooveToGroove: 'groove to groove',
  ruled: {
    in: (q: string) => `${q} is nearest its limit.`,
    out: (q: string) => `${q} rules: it is furthest out.`,
  },
  judgedAt: (rpm: number) => `judged at ${rpm} rpm`,
  trustIn: (unit: string) => `trust, ${unit}`,
  plus: { v: 'up is plus', h: 'toward 3 is plus' },
}

export const tablesWords = sided(tables, (w) => ({ ...w, plus: { ...w.plus, h: turned(w.plus.h) } }))
