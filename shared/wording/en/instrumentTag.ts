import { said } from '../words'

/** The few words of the tag at a job's head, apart from those that come when instruments are looked at. */
export const instrumentTag = {
  open: 'Instruments',
  openLive: (count: number) => `Instruments: ${count === 1 ? 'one speaks' : `${count} speak`}`,
  lost: 'Instruments: a line is lost',
}

export const instrumentTagWords = said(instrumentTag)
