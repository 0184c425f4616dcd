import { defineStore } from 'pinia'
import type { Job } from '~~/core/jobs/jobs'
import type { BeltState } from '~~/core/jobs/belt'
import type { TrainState } from '~~/core/jobs/train'
import type { GearState } from '~~/core/jobs/gear'
import type { FootedState } from '~~/core/jobs/footed'
import type { MeasuredState } from '~~/core/jobs/measured'
import type { EntryBody, LogEntry } from '~~/core/logbook/entry'
import { extended } from '~~/core/logbook/forward'
import { fromWire } from '~~/shared/logbook/lifts'
import type { PreviousSetUp } from '~~/shared/api/answers'
import type { InstrumentLink, LiveSample } from '~~/shared/instruments/link'
import type { Call } from '~~/shared/secondScreen/call'
import { partMachine } from '~~/shared/register/partMachine'
import type { MachineSnapshot } from '~~/shared/register/machine'
import { wordsFrom } from '~~/shared/wording/words'
import { composeEntry, refusedToLog, type Refused } from '~/device/composeEntry'
import { askSecond } from '~/people/gate'
import type { Door, InstrumentDoor, OpenedJob } from '~/doors/door'
import { isPractice } from '~/doors/isPractice'
import { serverDoor } from '~/doors/serverDoor'
import { loadKind, type LoadedKind } from '~/jobs/kinds'
import { ahead } from '~/stages/ahead'

const loadRefusedWords = ahead(() => import('~/device/refusedWords'))

/**
 * The job in view: its machine, the entries the server has, those still on their way, and the
 * draft being typed. Everything shown is folded from these; nothing else is kept.
 */
export const useJob = defineStore('job', () => {
  const session = useSession()
  const outbox = useOutbox()
  const server = serverDoor()
  let door: Door = server
  /** A try on the bench, which no record has. */
  const practising = computed(() => isPractice(id.value))

  const id = ref('')
  const { machine: inView, viewFrom } = storeToRefs(useInView())
  /** The machine of the job; `machine` is the part of it in view, where it has parts. */
  const whole = shallowRef<MachineSnapshot | null>(null)
  /** The coupling or machine of a train that is in view; null for the whole of it, and for any other machine. */
  const part = ref<string | null>(null)
  const previous = shallowRef<PreviousSetUp | null>(null)
  const left = shallowRef<OpenedJob['left']>(null)
  /** How the job before left a belt drive. */
  const drive = shallowRef<OpenedJob['drive']>(null)
  const leavesBefore = shallowRef<OpenedJob['leavesBefore']>([])
  const received = shallowRef<readonly LogEntry[]>([])
  const failure = shallowRef<ApiFailure | null>(null)
  /** The unsaved entry, appended so that each digit shows its result at once. */
  const draft = shallowRef<LogEntry | null>(null)
  /** Why the last entry was not logged, in words; empty when it was. */
  const refusal = ref('')
  /** The last word between the board and the second screen. */
  const called = shallowRef<Call | null>(null)
  /** Instruments that speak into this job, or are awaited; and who wants to hear what they show. */
  const links = shallowRef<readonly InstrumentLink[]>([])
  const liveHearers = new Set<(samples: readonly LiveSample[]) => void>()
  let stop: (() => void) | null = null
  /** The machine in view is the device's own copy. */
  let standsIn = false

  /** The very objects that were read once, so that the fold remembers them. */
  const readRows = new Map<string, LogEntry>()
  const onTheWay = computed(() => {
    const known = new Set(received.value.map((e) => e.id))
    return outbox.waiting
      .filter((r) => r.job === id.value && !known.has(r.id))
      .map((r) => {
        const kept = readRows.get(r.id) ?? fromWire(r.entry)
        readRows.set(r.id, kept)
        return kept
      })
  })
  const logbook = computed(() => [...received.value, ...onTheWay.value])
  /** How jobs of this machine's kind fold; there before the machine is. */
  const kind = shallowRef<LoadedKind | null>(null)
  const folded = computed((): Job | null =>
    whole.value && kind.value ? kind.value.fold(whole.value, logbook.value) : null,
  )
  const live = computed((): Job | null =>
    whole.value && kind.value && draft.value
      ? kind.value.fold(whole.value, extended(logbook.value, draft.value))
      : folded.value,
  )
  /** The fold of each kind, null for jobs of another kind; as logged, and with the draft. */
  const train = computed(() => (folded.value?.kind === 'train' ? folded.value.state : null))
  const liveTrain = computed(() => (live.value?.kind === 'train' ? live.value.state : null))
  const partIn = (state: TrainState | null) =>
    (state && [...state.couplings, ...state.machines].find((p) => p.part.id === part.value)) ?? null
  /** A coupling job, or the part of a train in view: every stage of a coupling serves both. */
  const coupled = computed(() =>
    folded.value?.kind === 'coupled' ? folded.value.state : (partIn(train.value)?.state ?? null),
  )
  const liveCoupled = computed(() =>
    live.value?.kind === 'coupled' ? live.value.state : (partIn(liveTrain.value)?.state ?? null),
  )
  const machine = computed(() => {
    const own = partIn(train.value)
    return own && whole.value ? partMachine(whole.value, own.part) : whole.value
  })
  watch(machine, (now) => (inView.value = now), { flush: 'sync', immediate: true })
  const drum = computed(() => (folded.value?.kind === 'drum' ? folded.value.state : null))
  const liveDrum = computed(() => (live.value?.kind === 'drum' ? live.value.state : null))
  /** Whatever stands on feet: coupled, or trammed to a drum. */
  const footed = computed((): FootedState | null => coupled.value ?? drum.value)
  const liveFooted = computed((): FootedState | null => liveCoupled.value ?? liveDrum.value)
  const flange = computed(() => (folded.value?.kind === 'flange' ? folded.value.state : null))
  const liveFlange = computed(() => (live.value?.kind === 'flange' ? live.value.state : null))
  /** Whatever is measured at a coupling, on feet or on a flange. */
  const measured = computed((): MeasuredState | null => coupled.value ?? drum.value ?? flange.value)
  const liveMeasured = computed(
    (): MeasuredState | null => liveCoupled.value ?? liveDrum.value ?? liveFlange.value,
  )
  const gear = computed(() => (folded.value?.kind === 'gear' ? folded.value.state : null))
  const liveGear = computed(() => (live.value?.kind === 'gear' ? live.value.state : null))
  /** Whatever is opened and looked over place by place. */
  const opened = computed((): MeasuredState | GearState | null => measured.value ?? gear.value)
  const belt = computed(() => (folded.value?.kind === 'belt' ? folded.value.state : null))
  const liveBelt = computed(() => (live.value?.kind === 'belt' ? live.value.state : null))
  /** Whose vibration is noted before and after: any job. */
  const shaken = computed((): MeasuredState | GearState | BeltState | null => opened.value ?? belt.value)
  const saved = computed(() => onTheWay.value.length === 0)
  const turnedDown = computed(() => outbox.turnedDown.filter((r) => r.job === id.value))

  const take = (entry: LogEntry) => {
    if (!received.value.some((e) => e.id === entry.id)) received.value = [...received.value, entry]
  }
  watch(
    () => outbox.received,
    (news) => {
      if (news && news.job === id.value) take(news.entry)
    },
    { flush: 'sync' },
  )

  const show = (opened: OpenedJob, own: LoadedKind, recalled: boolean) => {
    // Entries already known keep their objects: what was worked out about them holds.
    const known = new Map(received.value.map((e) => [e.id, e]))
    const answered = new Set(opened.entries.map((e) => e.id))
    // An answer under way may be older than what arrived meanwhile, and no entry ever goes away.
    received.value = [
      ...opened.entries.map((e) => known.get(e.id) ?? e),
      ...received.value.filter((e) => !answered.has(e.id)),
    ]
    kind.value = own
    // A job that was opened out of reach stands on this device's own copy until the server's has come.
    if (!whole.value || (standsIn && !recalled)) whole.value = opened.machine
    standsIn = recalled
    previous.value = opened.previous
    left.value = opened.left
    drive.value = opened.drive
    leavesBefore.value = opened.leavesBefore
    failure.value = null
  }
  const load = async () => {
    const wanted = id.value
    const isUnsent = () => outbox.rows.some((r) => r.job === wanted && r.machine !== null)
    // It may be sent while the server is still saying that it knows no such job.
    const wasUnsent = isUnsent()
    try {
      const opened = await door.load(wanted)
      const own = await loadKind(opened.machine)
      if (wanted === id.value) show(opened, own, false)
    } catch (error) {
      if (!(error instanceof ApiFailure)) throw error
      // Opened on this device and not sent yet, or the server is away: the device's copy serves.
      const unsent = wasUnsent || isUnsent()
      const kept = whole.value || !(error.passing || unsent) ? null : await door.recall(wanted)
      const own = kept && (await loadKind(kept.machine).catch(() => null))
      if (wanted !== id.value) return
      if (kept && own) show(kept, own, true)
      else if (!whole.value) failure.value = error
      if (error.passing || unsent) setTimeout(() => wanted === id.value && void load(), 2000)
    }
  }

  const open = async (jobId: string) => {
    const fresh = id.value !== jobId && !localStorage.getItem(seenUnder(jobId))
    if (id.value !== jobId) {
      id.value = jobId
      whole.value = null
      part.value = null
      previous.value = null
      left.value = null
      drive.value = null
      leavesBefore.value = []
      received.value = []
      draft.value = null
      readRows.clear()
    }
    failure.value = null
    refusal.value = ''
    door = isPractice(jobId) ? (await import('~/doors/practiceDoor')).practiceDoor() : server
    viewFrom.value = localStorage.getItem(viewUnder(jobId)) === 'stationary' ? 'stationary' : 'movable'
    await Promise.all([load(), session.meetPeople().catch(() => null)])
    const opened = whole.value as MachineSnapshot | null
    if (!opened) return
    // The first time on this device a job opens in the units its machine is kept in; later, as left.
    if (fresh) session.switchUnits(opened.units)
    localStorage.setItem(seenUnder(jobId), 'yes')
    // A full device store costs only that it goes sooner.
    if (door === server)
      void import('~/device/keeps')
        .then((keeps) => keeps.noteKeep('job', jobId, { opened: true, usedAt: Date.now() }))
        .catch(() => null)
    stop?.()
    links.value = []
    stop = door.listen(jobId, {
      entry: take,
      lost: () => void load(),
      call: (said) => {
        called.value = said
      },
      instruments: (now) => {
        links.value = now
      },
      live: (samples) => {
        for (const hear of liveHearers) hear(samples)
      },
    })
  }

  // Locked meanwhile, the line may be gone: it is taken up again.
  watch(
    () => session.signedIn,
    () => {
      if (stop) void open(id.value)
    },
  )

  /** Looks from the other end; kept on this device for this job. */
  const goRound = () => {
    viewFrom.value = viewFrom.value === 'movable' ? 'stationary' : 'movable'
    localStorage.setItem(viewUnder(id.value), viewFrom.value)
  }

  const leave = () => {
    viewFrom.value = 'movable'
    part.value = null
    stop?.()
    stop = null
    links.value = []
    draft.value = null
    refusal.value = ''
  }

  const lastSeen = () => logbook.value[logbook.value.length - 1]?.id ?? null

  /** A correction belongs where what it corrects does; anything else to what is in view. */
  const partOf = (supersedes: LogEntry['supersedes']): string | null =>
    supersedes === null ? part.value : (logbook.value.find((e) => e.id === supersedes.entry)?.part ?? null)
  /** An entry as this person would write it now. */
  const compose = (body: EntryBody, supersedes: LogEntry['supersedes'] = null): LogEntry =>
    composeEntry(body, logbook.value, session.authorId, supersedes, partOf(supersedes))

  /** Logs an entry: shown at once, sent when the server can be reached. Null, with words, when it can't be. */
  const log = (body: EntryBody, supersedes: LogEntry['supersedes'] = null): LogEntry | null => {
    if (!kind.value || !folded.value) return null
    const entry = compose(body, supersedes)
    // On the bench everybody answers for themselves.
    const role = practising.value ? undefined : session.author?.role
    const refused = refusedToLog(kind.value, folded.value, logbook.value, entry, role)
    refusal.value = ''
    if (refused?.why === 'second') {
      void logWithSecond(body, supersedes, entry, refused)
      return null
    }
    if (refused) {
      void loadRefusedWords().then(({ refusedWords }) => {
        refusal.value = refusedWords(refused, wordsFrom(viewFrom.value))
      })
      return null
    }
    draft.value = null
    readRows.set(entry.id, entry)
    door.post(id.value, entry)
    return entry
  }

  /** The last entry that somebody stood by: what wrote it has long been told that nothing was logged. */
  const stoodBy = shallowRef<LogEntry | null>(null)

  /** Logs an entry that its writer may not answer for alone, once somebody has stood by it. */
  const logWithSecond = async (
    body: EntryBody,
    supersedes: LogEntry['supersedes'],
    entry: LogEntry,
    refused: Refused,
  ) => {
    const { refusedWords } = await loadRefusedWords()
    const about = refusedWords(refused, wordsFrom(viewFrom.value))
    const second = await askSecond({ act: entry.id, what: entry.kind, about })
    if (second === null || entry.after !== lastSeen()) {
      if (second !== null) log(body, supersedes)
      return
    }
    draft.value = null
    const stood: LogEntry = { ...entry, second }
    readRows.set(entry.id, stood)
    door.post(id.value, stood)
    stoodBy.value = stood
  }

  /** Hears what instruments show; answers how to stop. */
  const hearLive = (hear: (samples: readonly LiveSample[]) => void): (() => void) => {
    liveHearers.add(hear)
    return () => void liveHearers.delete(hear)
  }
  /** Where instruments are asked for; null where none can be had. */
  const instruments = (): InstrumentDoor | null => door.instruments

  /** Says a word to the other screens of this job; false when it did not get through. */
  const call = (said: Call): Promise<boolean> => door.call(id.value, said)

  return {
    id,
    practising,
    stoodBy,
    called,
    call,
    links,
    hearLive,
    instruments,
    machine,
    whole,
    part,
    train,
    liveTrain,
    previous,
    left,
    drive,
    leavesBefore,
    viewFrom,
    goRound,
    kind,
    folded,
    live,
    coupled,
    liveCoupled,
    drum,
    liveDrum,
    footed,
    liveFooted,
    flange,
    liveFlange,
    measured,
    liveMeasured,
    gear,
    liveGear,
    opened,
    shaken,
    belt,
    liveBelt,
    logbook,
    failure,
    draft,
    refusal,
    saved,
    turnedDown,
    open,
    load,
    leave,
    compose,
    log,
    lastSeen,
  }
})

const seenUnder = (jobId: string) => `hc.seen.${jobId}`
const viewUnder = (jobId: string) => `hc.view.${jobId}`
