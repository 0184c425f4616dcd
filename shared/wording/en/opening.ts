import { said } from '../words'
import type { ToolId, ToolUse } from '../../../core/tools/toolsToTake'

export const opening = {
  asRegistered: 'As registered.',
  readIt: (rpm: number) => `Registered: ${rpm} rpm. Read it off the nameplate and type it.`,
  differs: (rpm: number) => `The register says ${rpm} rpm. The limits will follow what you typed.`,
  tenfold: (typed: number, rpm: number) =>
    `${typed} is tenfold off the register (${rpm} rpm). Check the nameplate again; press once more if it is right.`,
  farOff: (typed: number, rpm: number) =>
    `${typed} is far from the register (${rpm} rpm). Check the nameplate again; press once more if it is right.`,
  headlines: {
    notOpen: 'This job has no opening yet.',
    opened: (reason: string) => `Opened: ${reason.toLowerCase()}.`,
    pack: 'Tick what goes along, and log it before you walk.',
    taken: (tools: number, instruments: number) =>
      `${tools} ${tools === 1 ? 'thing' : 'things'} and ${instruments} ${instruments === 1 ? 'instrument' : 'instruments'} taken along.`,
    overdue: (name: string, due: string) => `The calibration of ${name} ran out on ${due}.`,
    otherSpeed: (typed: number, registered: number) =>
      `The nameplate says ${typed} rpm, the register ${registered}: the limits follow the nameplate.`,
  },
  kit: {
    noDate: (name: string) => `${name} (no calibration asked)`,
    holds: (name: string, due: string) => `${name} (calibrated until ${due})`,
    ranOut: (name: string, due: string) => `${name} (calibration ran out on ${due})`,
  },
  tools: {
    names: {
      lock: 'Lock and tag of your own',
      scraper: 'Scraper, wire brush, file, cloth',
      marker: 'Paint marker, for leaves and brackets',
      jack: 'Jack or pry bar, jacking bolts',
      'torque-wrench': 'Torque wrench',
      feelers: 'Feelers',
      straightedge: 'Straightedge',
      level: 'Precision level',
      tape: 'Tape',
      dials: 'Dials',
      'magnet-bases': 'Magnetic bases',
      bracket: 'Bracket and bar',
      'sag-pipe': 'Stiff pipe, to read the bar’s sag on',
      mirror: 'Mirror and lamp, for the dial underneath',
      heads: 'Pair of heads with cables or charged',
      instrument: 'The instrument, charged, with its sheet',
      shims: 'Shims',
      'coupling-parts': 'For the coupling',
    } satisfies Record<ToolId, string>,
    uses: {
      prepare: 'Make safe, look and clean',
      feet: 'Feet and hubs',
      measure: 'Measure',
      move: 'Move',
    } satisfies Record<ToolUse, string>,
    counted: (name: string, n: number) => `${name}, ${n}`,
    sizes: {
      long: (name: string, size: string) => `${name}, ${size} or longer`,
      reach: (name: string, size: string) => `${name} reaching about ${size}`,
    },
    leaves: (name: string, list: string, unit: string) => `${name}; most used here: ${list} ${unit}`,
    parts: (name: string, list: string) => `${name}: ${list}`,
  },
  view: {
    title: 'Open',
    note: (by: string) => `opened by ${by}`,
    reason: 'Why',
    speed: 'Nameplate',
    speedIs: (rpm: number, registered: number) =>
      rpm === registered ? `${rpm} rpm, as registered` : `${rpm} rpm; the register has ${registered}`,
    customer: 'Customer',
    site: 'Site',
    noteWords: 'Note',
    toTake: (method: string) => `To take, for ${method.toLowerCase()}`,
    instruments: 'Instruments',
    none: 'The stores have no instruments on record.',
    overdue: 'run out',
    log: 'Log what is taken',
    all: 'Tick all of it',
    goOn: 'Go on',
    correct: 'Nameplate or reason otherwise?',
    correctTitle: 'Correct the opening',
    wrong: 'What was wrong with it?',
    correctDetail: 'The limits follow the nameplate from here on, and for what was read before.',
    same: 'It says so already. Change what is wrong, or close this.',
    overdueDetail: 'Take another one, or say in the report why this one was used.',
  },
}

export const openingWords = said(opening)
