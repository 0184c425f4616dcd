import { said } from '../words'

/** What this device keeps, what waits on it, and whether it opens with no server. What is said at the head of a view is in deviceHead.ts. */
export const device = {
  title: 'On this device',
  alone: {
    title: 'Without the network',
    looking: 'Looking …',
    fetching: 'The program is being put on this device. It takes a minute, once for each version.',
    yes: 'The program is on this device. It opens with no server, with every job and machine below.',
    insecure:
      'This page came over plain http, so the browser keeps no program for it: it works on while a page is open, and does not open without the network. Over https it does; docs/production.md tells how.',
    no: 'This browser keeps no program: it works on while a page is open, and does not open without the network.',
    install: 'Put it among this device’s own programs',
    installNote:
      'The browser’s menu puts it among this device’s own programs: “Install”, or “Add to home screen”.',
    build: (id: string) => `Version ${id}`,
  },
  waits: {
    title: 'Waiting to be sent',
    none: 'Nothing waits. Everything written here is with the server.',
    columns: { what: 'Entry', job: 'Job', by: 'Written by', at: 'Written at', state: 'State' },
    state: {
      sending: 'is being sent',
      away: 'until the server is back',
      behind: 'behind the one before it',
      pin: (name: string) => `for ${name}’s PIN`,
      memory: 'in this window only',
    },
    opening: 'Opening of the job',
    unknownJob: 'Another job',
    settle: 'Settle it in its job',
    practice: (n: number) => `${n} practice ${n === 1 ? 'result' : 'results'} to hand in.`,
  },
  kept: {
    title: 'Kept on this device',
    note: 'What you open stays eight weeks by itself. What is pinned stays until you let it go, and is kept up to date. Pin a job in its own head, a machine on its page.',
    none: 'Nothing yet. Open a job or a machine, and it stays.',
    columns: { what: 'Job or machine', used: 'Opened here', copied: 'Copy of', pinned: 'Pinned' },
    job: 'job',
    closedJob: 'closed job',
    machine: 'machine',
    never: 'not fetched yet',
    pin: (name: string) => `Pin ${name}`,
    letGo: 'Let go',
    letGoOf: (name: string) => `Let go of ${name}`,
    waits: 'entries wait',
    freshen: 'Fetch them anew',
    freshening: 'Fetching …',
    fetched: (time: string) => `Fetched at ${time}.`,
    away: 'The server is out of reach: these are the copies there are.',
  },
  pin: {
    job: 'Keep this job on this device',
    jobNote: 'It stays eight weeks by itself, from when it was opened here last.',
    machine: 'Keep on this device',
    machinePinned: 'Kept on this device',
    machineNote: 'Its record, its history and the job open on it, to be worked on with no server.',
    full: 'This device is full: nothing more can be kept. Let go of something first.',
  },
  room: {
    title: 'Room',
    used: (used: string, all: string) => `${used} used of ${all} that this browser gives.`,
    unknown: 'This browser does not say how much room there is.',
    lasting: 'The browser keeps it until you take it away.',
    passing:
      'Short of room, the browser may take copies away by itself. What waits to be sent goes with them.',
    ask: 'Ask the browser to keep it',
    refused:
      'The browser did not agree. It agrees more often once the program is put among the device’s own.',
    clear: 'Take all copies off this device',
    clearNote:
      'Copies of jobs and machines, and pictures; not what is half typed, and nothing that waits to be sent.',
    clearAsk:
      'Take all copies off this device? The works keeps everything; this device opens nothing without it then.',
    clearYes: 'Take them off',
    clearNo: 'Leave them',
    cleared: 'Taken off.',
    sizes: { kb: (n: string) => `${n} kB`, mb: (n: string) => `${n} MB`, gb: (n: string) => `${n} GB` },
  },
}

export const deviceWords = said(device)
