import { instrumentLine } from './instrumentLine'
import { peopleAnswers } from './peopleAnswers'

/** What the server says when it takes something, refuses it, or can't answer. */
export const answers = {
  instruments: instrumentLine,
  people: peopleAnswers,
  retired: (tag: string) => `${tag} is retired. Take it back into service to open a job on it.`,
  retireJobOpen: 'A job is open on this machine. Close it, then retire the machine.',
  noPhotograph: 'This entry shows a photograph that the job doesn’t have. Send the photograph first.',
  photographId: 'Give the photograph’s id as a UUID.',
  entryIdTaken: 'Another entry already has this id. Send it again under a new one.',
  nobody: 'Nobody by that id works here. Choose who is writing.',
  beginsWithOpening: 'A job begins with its opening entry.',
  jobIdTaken: 'Another job already has this id.',
  jobIdTakenOpenAgain: 'Another job already has this id. Open it again under a new one.',
  tagTaken: 'This tag is taken.',
  tagTakenChoose: (tag: string) => `There is already a machine ${tag}. Choose another tag.`,
  noLot: 'There are no such shims in the stores. Look them up under Stores.',
  noBelts: 'There are no such belts in the stores. Look them up under Stores.',
  beltsIdTaken: 'Other belts already have this id.',
  beltsChanged: 'Someone counted or changed these belts meanwhile. Look at theirs, then make yours again.',
  beltsAreThere: 'These belts lie there already. Count them instead.',
  lotIdTaken: 'Other shims already have this id.',
  lotChanged:
    'Someone changed or counted these shims meanwhile. Look at their change, then make yours again.',
  lotIsThere: 'These shims lie there already. Count them instead.',
  noInstrument: 'There is no such instrument in the stores.',
  instrumentIdTaken: 'Another instrument already has this id.',
  instrumentChanged:
    'Someone changed this instrument meanwhile. Look at their change, then make yours again.',
  worksChanged:
    'Someone changed the rules of the works meanwhile. Look at their change, then make yours again.',
  noStandstill: 'There is no planned stop by that id. Look it up in the calendar.',
  standstillIdTaken: 'Another stop already has this id.',
  standstillChanged: 'Someone changed this stop meanwhile. Look at their change, then make yours again.',
  noSuchPerson: 'There is nobody by that name here. Choose who you are.',
  onlyLeads: 'A lead’s to do. Ask one, or choose who you are.',
  tooManyViews: (most: number) => `You keep ${most} views already. Drop one first.`,
  tooManyJobs: (most: number) =>
    `That is more than ${most} jobs, which one file does not hold. Narrow the search down.`,
  viewIdTaken: 'Another view already has this id.',
  noView: 'You keep no such view.',
  taskIdTaken: 'Another lesson already has this id.',
  noTask: 'There is no such lesson set. Look at the list again.',
  noFeed: 'There is no calendar at this address. Ask for a new one.',
  feedIdTaken: 'Another calendar already has this id.',
  limitsChanged: 'Someone changed these limits meanwhile. Look at their change, then make yours again.',
  limitsIdTaken: 'Other limits already have this id.',
  sectionChanged: 'Someone changed this section meanwhile. Look at their change, then make yours again.',
  sectionIdTaken: 'Another section already has this id.',
  noSection: 'There is no belt section by that id. Look them up under Limits, Belt sections.',
  noLimits: 'There are no limits by that id. Look them up under Limits.',
  machineChanged: 'Someone changed this machine meanwhile. Look at their change, then make yours again.',
  doesNotFit: 'That does not fit.',
  tooLarge: (kB: number) => `That is more than ${kB} kB at once. Send less.`,
  nothingSent: 'There is nothing in the request. Send JSON.',
  notJson: 'The request is not JSON. Check quotes, commas and brackets.',
  databaseDown:
    'The database does not answer. Your entries stay on this device and are sent when it is back.',
  mistake:
    'The program made a mistake. What you typed is still on this device. Try again, and tell whoever looks after it.',
  noSuchMethod:
    'Nothing here answers to that method. The addresses and methods are listed at /api/openapi.json.',
  wrongHost: (name: string) =>
    `This program is not known by the name ${name || '(none)'}. Open it by its own address, or have whoever looks after it add the name to HC_HOSTS.`,
  wrongOrigin: 'This came from a page of another site. Open the program at its own address and write there.',
  sendJson: 'Only JSON is taken here. Send it with content-type application/json.',
  tooMuch: (seconds: number) =>
    `This took longer than ${seconds} seconds and was stopped. Take fewer kinds of shims, fewer leaves a pack, or fewer draws.`,
  busyTryingAgain:
    'The database is busy with somebody else’s entry just now. What you typed is kept; it is tried again.',
  takenMeanwhile: 'Somebody else took that name or number at the same moment. Look again and choose another.',
  databaseTakesNoSuch: 'The database can’t keep one of these values. Check what was typed.',
  unstorableText: 'This text holds a character that can’t be kept. Type it again without it.',
  numberBeyond: 'This number is beyond all bounds.',
  tooDeep: 'This is nested more deeply than anything here. Send it flatter.',
  busy: 'Too many sums are being worked out just now. Try again in a moment.',
  nothingHere: 'There is nothing at this address. The addresses are listed at /api/openapi.json.',
  noJob: 'There is no such job. It may have been opened on a device that has not sent it yet.',
  noTag: (tag: string) => `There is no machine with the tag ${tag}.`,
  noMachine: (tag: string) => `There is no machine with the tag ${tag}. Look it up under Machines.`,
  gearNotWritten:
    'What this job found of the gearset could not be written into the register: change it there by hand.',
  beltsNotWritten:
    'The register could not take how this drive was left: its sheaves, belts or base were changed meanwhile. Write it there by hand.',
  machineGone: (tag: string) =>
    `The register no longer has ${tag} as it was: the shims left under its feet were not written there.`,
  boltLeft: (clock: string, leaves: string) => `bolt at ${clock} ${leaves}`,
  packsLeft: (pair: string, left: string, right: string) => `${pair} left ${left}, right ${right}`,
  packsNotWritten: (unit: string, packs: string) =>
    `The register was changed while this job was open. These shims (${unit}) were left but not written there: ${packs}.`,
}
