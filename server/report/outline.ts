import type { UnitSystem } from '../../core/units/unitSystem'
import { toCore } from '../../core/units/unitSystem'
import { look } from '../../shared/wording/en'
import { inThread } from '../heavy/pool'
import { Refused } from '../http/refusal'
import { reportFonts } from './fonts'

/** A shim's outline to scale as PDF; 422 where it is larger than the paper. */
export const outlinePdf = async (asked: {
  readonly units: UnitSystem
  readonly paper: 'a4' | 'letter'
  readonly length: number
  readonly width: number
  readonly slot: number
  readonly toBolt: number
  readonly note?: string
}): Promise<Uint8Array> => {
  const mm = (t: number) => toCore(t, 'distance', asked.units)
  const { pdf } = await inThread('outline', {
    shim: {
      length: mm(asked.length),
      width: mm(asked.width),
      slot: mm(asked.slot),
      toBolt: mm(asked.toBolt),
    },
    units: asked.units,
    note: asked.note ?? '',
    paper: asked.paper === 'letter' ? 'LETTER' : 'A4',
    fonts: await reportFonts(),
  })
  if (!pdf) {
    const message = look.outline.paperTooSmall
    throw new Refused(422, 'bad-input', message, { issues: [{ path: 'paper', message }] })
  }
  return pdf
}
