import { said } from '../words'
import type { TapEffect } from '../../../core/stages/drumTrue/drumTrue'

/** The drum by itself: turned under a dial, struck lightly where it stands high. */
export const drumTrue = {
  title: 'Drum run-out',
  surface: 'Surface',
  surfaces: { rim: 'Rim', face: 'Face' },
  count: 'Marks over the turn',
  note: (times: string) => `bolts in and snug · drawn ${times} too large`,
  noteBare: 'bolts in and snug · read mark by mark',
  markIt:
    'Bolts in and snug, dial fixed to the base. Chalk the marks on the drum, clockwise as you see it; turn it by hand past the dial.',
  diameter: 'Circle the face dial runs on',
  log: 'Log the turn',
  readNext: (mark: string) => `Read mark ${mark}`,
  again: 'Turn it again',
  struck: (mark: string) => `Struck at ${mark}: log it`,
  words: 'In words',
  goOn: 'On to the proof',
  tramFirst: 'Side and height are not in band yet: what is trued now is trued again after the next move.',
  passOver: 'Leave the drum as it is and say why',
  table: ['Turn', 'TIR', 'High at', 'After the blows'],
  first: 'as found',
  nth: (n: number) => `turn ${n}`,
  limit: (by: string, source: string) => `Limit ${by}, ${source}`,
  source: { own: 'this drum’s own', speed: 'starting value by speed' },
  effects: {
    better: 'better',
    'no-change': 'no change',
    worse: 'worse',
    past: 'past it',
  } satisfies Record<TapEffect, string>,
  headlines: {
    read: 'Turn the drum under a dial before the pins go in.',
    readAgain: 'It was struck. Turn it once more and read.',
    tapRim: (by: string, mark: string) =>
      `The rim runs out ${by}, high at ${mark}. Tap it there, toward the shaft.`,
    tapFace: (by: string, mark: string) =>
      `The face runs out ${by}, it stands out at ${mark}. Tap it there, square to the face.`,
    leave: (by: string) => `It runs true within ${by}. Tighten, read once more, then the pins.`,
    seat: 'Blows do nothing. Look at its seat.',
    oval: 'It is oval: no blow centres that.',
  },
  details: {
    light: 'Light blows, a soft drift between; bolts snug, not tight. Turn and read after each.',
    half: 'The last blows went past: half as hard now.',
    harder: 'The last blows did nothing: a little harder, or the bolts a little looser.',
    seat: 'Dirt or a burr on the spigot, a bolt that binds in its hole, a bent shaft: take the bolts out and look.',
    oval: 'A worn or dented drum is machined or changed. Close it with the reason if it has to run.',
    read: '',
    'read-again': '',
    leave:
      'Tightening may shift it: the last turn is the one that counts. Refit the pins; ream them if they no longer go in.',
  },
  caution:
    'The brake is off while the drum turns: the load stays blocked, one person turns, nobody has a hand at the shoes. Eye protection at every blow.',
  finding: {
    out: (by: string) => `Runs out ${by}`,
    in: (by: string) => `True within ${by}`,
    struck: 'Struck, turn again',
  },
  working: {
    tir: 'TIR',
    tirFormula: 'highest − lowest',
    first: 'Out of centre',
    firstFace: 'Wobble',
    firstFormula: 'first harmonic by least squares',
    high: 'Stands high at',
    change: 'After the blows',
    changeFormula: 'TIR before − TIR now',
    limit: 'Limit',
    limitFormula: '7200 / rpm, from 2 to 5 mil',
  },
}

export const drumTrueWords = said(drumTrue)
