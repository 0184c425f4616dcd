import { said } from '../words'
import type { VerdictOrUnknown } from '../../../core/judge/judge'
import type { DueFor } from '../../../core/stages/close/due'
import type { ExceptionReason } from '../../../core/stages/close/closing'

export const closing = {
  closedBy: (name: string) => `Closed and signed by ${name}.`,
  needs: {
    unmeasured: 'Nothing was measured. Say why before you close it.',
    'moved-since': 'It was moved and not measured since. Measure, or say why not.',
    'corrected-since': 'It was corrected and not read since. Read again, or say why not.',
    doubtful: 'The last readings are doubtful. Read again, or say why it closes so.',
    edge: 'Left inside the limit, near its edge. Say why it is accepted though it could be better.',
    out: 'Left out of band. It can be closed only with a reason.',
    strained: 'The coupling bends the shafts. Say why it is left so.',
    'turns-wrong': 'It was seen to turn the wrong way. Say why it is left so.',
    'drum-out': 'The drum runs out more than it may. Say why it is left so.',
    'drum-unread': 'The drum was not turned under a dial since the motor was set. Read it, or say why not.',
    'contact-unread': 'The contact was not painted. Paint it, or say why not.',
    'backlash-unread': 'The backlash was not read. Read it, or say why not.',
    'gear-untightened':
      'The blocks were not drawn down with paint and backlash read after it. Do it, or say why not.',
    'pins-out': 'The locating pins are still out. Put them back, or say why they stay out.',
    untensioned: 'The tension of the belts was not read. Read it, or say why not.',
    untightened: 'The base was not drawn down with line and tension read after it. Do it, or say why not.',
    'runs-badly': 'Something was not right as it ran. Say why it is left so.',
    unknown: 'Not everything is known that is judged. It can be closed only with a reason.',
  } satisfies Record<ExceptionReason, string>,
  edge: 'Left inside the limit, near its edge. Another move may be worth it.',
  inBand: 'Left in band. Torque the bolts, guard on, sign.',
  signedOtherwise: (signed: string, now: string) =>
    `Signed as “${signed}”. Today’s arithmetic would say “${now}”; what was signed stands.`,
  due: {
    ask: 'Look again',
    on: 'Day',
    none: 'no date',
    what: {
      'hot-check': 'Hot check',
      'first-weeks': 'After the first weeks',
      'belts-hour': 'New belts after an hour’s run',
      'belts-day': 'New belts after a day',
      'belts-week': 'New belts after a week',
      regular: 'Regular check',
      other: 'Other',
    } satisfies Record<DueFor, string> as Readonly<Record<DueFor, string>>,
    whatElse: 'What for?',
    past: 'That day has passed. Give one to come.',
    again: (day: string, what: string) => `Look again on ${day}: ${what}.`,
    overdue: (day: string) => `Overdue since ${day}`,
    dueOn: (day: string) => `Due ${day}`,
    title: 'Overdue and due',
  },
  asFound: 'As found',
  asLeft: 'As left',
  notMeasured: 'not measured',
  /** What stands on the stage itself. */
  /** What the closing writes into the register. */
  register: {
    name: 'Into the register',
    waits: 'Written when it is signed:',
    ofDriven: (foot: string) => `${foot} of the driven machine`,
    pack: (foot: string, was: string, now: string) => `${foot}: shims ${was} become ${now}`,
    distance: (foot: string, was: string, now: string) =>
      `${foot}: coupling to feet ${was} becomes ${now}, as taped`,
    tapedFirst: (foot: string, now: string) => `${foot}: ${now}, taped for the first time`,
    target: (source: string) => `Cold target: ${source}`,
    bolts: (bolts: string) => `Hold-down bolts: ${bolts}`,
    flange: (across: string, plane: string) =>
      `Flange as taped: bolts on ${across}, ${plane} above the coupling centre`,
    layers: (was: string, now: string, of: string) =>
      `Layers of ${of} under the blocks: ${was} become ${now}`,
    response: (lever: string, together: string, apart: string) =>
      `How the paint goes with the ${lever}: ${together} together, ${apart} apart`,
    leftAs: (zones: string) => `The paint as it was left: ${zones}`,
    zone: (run: string, from: string, to: string) => `${run} ${from} to ${to} %`,
    setting: (sheave: string, was: string, now: string) =>
      `${sheave}: ${was} turns open becomes ${now}, with its diameter and groove depths`,
    belts: (day: string, length: string, set: string) =>
      [`New belts, fitted ${day}`, length === '' ? '' : `${length} long`, set].filter(Boolean).join(', '),
    travel: (was: string, now: string) => `Travel left: ${was} becomes ${now}`,
  },
  /** The customer signs on the glass of the tablet. */
  customer: {
    title: (machine: string, customer: string) => (customer === '' ? machine : `${machine}, for ${customer}`),
    ask: 'Customer signs on the glass',
    again: 'Sign again',
    takeOut: 'Take the signature out',
    name: 'Name of who signs for the customer',
    noName: 'Say who signs.',
    sign: 'Sign here, with a finger or a pen',
    clear: 'Clear the glass',
    orPen: 'Left empty, the report has a line to sign on paper.',
    done: 'Done, hand it back',
    stale: 'What the customer signed reads otherwise now. Let them sign again, or take the signature out.',
    signedBy: (name: string, drawn: boolean) =>
      drawn ? `Signed for the customer by ${name}` : `For the customer: ${name}, signs on paper`,
    drawn: 'Signature',
    empty: 'Glass to sign on, empty',
    left: {
      in: 'It is left in band.',
      edge: 'It is left inside the limit, near its edge.',
      out: 'It is left out of band.',
      unknown: 'How it lies is not fully known.',
    } satisfies Record<VerdictOrUnknown, string>,
    reason: (why: string) => `Closed like this because: ${why}`,
    remarks: (said: string) => `Remarks: ${said}`,
  },
  view: {
    title: 'As found, as left',
    movesBetween: (n: number) => `${n} ${n === 1 ? 'move' : 'moves'} between them`,
    nothingStands: 'No measurement stands in this job yet.',
    tension: 'tension',
    sheavesTitle: 'Sheaves as found, as left',
    correctionsBetween: (n: number) => `${n} ${n === 1 ? 'correction' : 'corrections'} between them`,
    sheavesNotRead: 'The sheaves were not read in this job.',
    written: (when: string, person: string) => `${when}. Written by ${person}.`,
    exception: 'Exception:',
    reason: 'Reason for closing it like this',
    accepted: 'Accepted though it could be better, because',
    signature: 'Signature name',
    remarks: 'Remarks',
    before: 'Before you sign: bolts at torque in the numbered order, shafts turn freely, guard on.',
    openReport: 'Open the report, A4',
    onLetter: 'Report on Letter paper',
    withoutNames: 'Without names',
    withSecond: (who: string, second: string) => `${who}, with ${second}`,
    reportSoFar: 'Look at the report so far',
    sign: 'Sign and close',
  },
}

export const closingWords = said(closing)
