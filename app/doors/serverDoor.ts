import type { DriveLeft } from '~~/core/stages/inspect/driveLeft'
import type { JobAnswer } from '~~/shared/api/answers'
import { fromWire } from '~~/shared/logbook/lifts'
import { takeSnapshot } from '~~/shared/register/lifts'
import type { InstrumentLink, LiveSample } from '~~/shared/instruments/link'
import type { Call } from '~~/shared/secondScreen/call'
import { deviceStore } from '~/device/database'
import type { Door, OpenedJob } from './door'

/** A job's answer, of whatever version it was kept in, as core folds it today. */
const read = (answer: JobAnswer): OpenedJob => ({
  machine: takeSnapshot(answer.machineSchema ?? 1, answer.machine),
  entries: answer.entries.map(fromWire),
  previous: answer.previous ?? null,
  left: answer.left ?? null,
  drive: answer.drive
    ? ({
        ...answer.drive,
        line: answer.drive.line && fromWire(answer.drive.line),
        tension: answer.drive.tension && fromWire(answer.drive.tension),
      } as DriveLeft)
    : null,
  leavesBefore: answer.leavesBefore ?? [],
})

/** The server, with the device's copy behind it. */
export const serverDoor = (): Door => {
  const outbox = useOutbox()
  return {
    load: async (job) => {
      const answer = await askServer<JobAnswer>(`/api/jobs/${job}`)
      // A bench has no use for it: it comes with the first job.
      await import('~/device/keepJob').then((keep) => keep.keepJob(answer, false)).catch(() => null)
      return read(answer)
    },
    recall: async (job) => {
      const kept = (await (await deviceStore()).get('jobs', job)) as JobAnswer | undefined
      return kept ? read(kept) : null
    },
    post: (job, entry) => void outbox.post(job, entry),
    call: (job, said) =>
      askServer(`/api/jobs/${job}/call`, { method: 'POST', body: said }).then(
        () => true,
        (failure: unknown) => {
          if (failure instanceof ApiFailure) return false
          throw failure
        },
      ),
    listen: (job, hears) => {
      const stream = new EventSource(`/api/jobs/${job}/stream`)
      let dropped = false
      stream.addEventListener('entry', (message) =>
        hears.entry(fromWire(JSON.parse((message as MessageEvent<string>).data))),
      )
      stream.addEventListener('call', (message) =>
        hears.call(JSON.parse((message as MessageEvent<string>).data) as Call),
      )
      stream.addEventListener('instruments', (message) =>
        hears.instruments(JSON.parse((message as MessageEvent<string>).data) as InstrumentLink[]),
      )
      stream.addEventListener('live', (message) =>
        hears.live(JSON.parse((message as MessageEvent<string>).data) as LiveSample[]),
      )
      stream.addEventListener('error', () => {
        dropped = true
        outbox.linked = false
      })
      stream.addEventListener('open', () => {
        if (dropped) hears.lost()
        dropped = false
        outbox.linked = true
        outbox.reachable = true
      })
      return () => stream.close()
    },
    instruments: {
      wait: (job, place, author) =>
        askServer(`/api/jobs/${job}/instruments`, { method: 'POST', body: { place, author } }),
      release: (job, link) =>
        askServer(`/api/jobs/${job}/instruments/${link}/release`, { method: 'POST', body: {} }),
      tell: (job, link, command) =>
        askServer(`/api/jobs/${job}/instruments/${link}/do`, { method: 'POST', body: { do: command } }),
      swap: (job, places) =>
        askServer(`/api/jobs/${job}/instruments/swap`, { method: 'POST', body: { places } }),
    },
  }
}
