import { createEventStream } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { watchInstruments } from '../../../instruments/hub'
import { listenToCalls } from '../../../jobs/calls'
import { readJob } from '../../../jobs/logbook'
import { catchUp } from '../../../jobs/news'
import { joinViewers } from '../../../jobs/viewers'

const HEARTBEAT_MS = 15_000

export default route(ROUTES.stream, async ({ event, param }) => {
  const { id, entries } = await readJob(database('read'), param('id'))
  const stream = createEventStream(event)
  const leave = joinViewers(
    id,
    entries.length,
    (entry) => void stream.push({ event: 'entry', data: JSON.stringify(entry) }),
  )
  const hangUp = listenToCalls(id, (said) => void stream.push({ event: 'call', data: JSON.stringify(said) }))
  const look = watchInstruments(id, {
    links: (links) => void stream.push({ event: 'instruments', data: JSON.stringify(links) }),
    live: (samples) => void stream.push({ event: 'live', data: JSON.stringify(samples) }),
  })
  // What was written between that reading and now.
  void catchUp(id).catch(() => null)
  // A line now and then tells both ends, and anything between them, that the stream lives.
  const heartbeat = setInterval(() => void stream.push({ event: 'alive', data: '' }), HEARTBEAT_MS)
  stream.onClosed(async () => {
    clearInterval(heartbeat)
    leave()
    hangUp()
    look()
    await stream.close()
  })
  void stream.push({ event: 'alive', data: '' })
  return stream.send()
})
