import { PrecacheController } from 'workbox-precaching/PrecacheController.js'
import { photographAnswer } from './photographs'
import { superseded } from './generations'

declare const self: ServiceWorkerGlobalScope
/** Put in by `modules/offline.ts`: which build this is, and the files it is made of. */
declare const BUILD: string
declare const FILES: readonly string[]

/**
 * The program on the device, whole: each build lies in a cache of its own and is changed for the next one only when
 * somebody says so (or no window of it is open any more). A window that still runs the build before finds its parts there.
 */
const ofBuild = (build: string) => `hc-build-${build}`
const program = new PrecacheController({ cacheName: ofBuild(BUILD) })
program.addToCacheList([
  // Names of files tell what is in them; the page that loads them is known by its build.
  ...FILES.map((url) => ({ url, revision: null })),
  { url: '/', revision: BUILD },
])

/** Files under way at once: one after the other takes a minute where each waits for the network. */
const LANES = 8
const fetchAll = async (): Promise<void> => {
  const cache = await caches.open(ofBuild(BUILD))
  const left = [...FILES]
  const lane = async (): Promise<void> => {
    for (let url = left.shift(); url !== undefined; url = left.shift()) {
      if (await cache.match(url)) continue
      const answer = await fetch(url)
      if (answer.ok) await cache.put(url, answer)
    }
  }
  await Promise.all(Array.from({ length: LANES }, lane))
}

/**
 * Whom to ask for what, where the browser can be told beforehand: it asks them without waking this worker, and a stream
 * that is open for hours does not hold an older build in its place. The first that fits rules.
 */
const BEFOREHAND = [
  { condition: { urlPattern: '/_nuxt/*' }, source: 'cache' },
  { condition: { urlPattern: '/api/jobs/*/photographs/*' }, source: 'fetch-event' },
  { condition: { urlPattern: '/api/*' }, source: 'network' },
] as const
interface TellsBeforehand {
  readonly addRoutes?: (routes: typeof BEFOREHAND) => Promise<void>
}

self.addEventListener('install', (event) => {
  const { addRoutes } = event as TellsBeforehand
  if (addRoutes) event.waitUntil(addRoutes.call(event, BEFOREHAND))
  // What is missing or came broken is fetched once more, and without all of it nothing is installed.
  event.waitUntil(fetchAll().then(() => program.install(event)))
})

self.addEventListener('activate', (event) => {
  const tidy = async () => {
    for (const name of superseded(await caches.keys(), ofBuild(BUILD))) await caches.delete(name)
    await self.clients.claim()
  }
  event.waitUntil(tidy())
})

self.addEventListener('message', (event) => {
  if (event.data === 'take-over') void self.skipWaiting()
})

/** The page for every view: it draws itself from what the device keeps. */
const page = async (request: Request): Promise<Response> =>
  (await program.matchPrecache('/')) ?? fetch(request)

/** A part of the program, of this build or the one before. */
const part = async (request: Request): Promise<Response> =>
  (await program.matchPrecache(request)) ?? (await caches.match(request)) ?? fetch(request)

self.addEventListener('fetch', (event) => {
  const { request } = event
  const { origin, pathname } = new URL(request.url)
  if (request.method !== 'GET' || origin !== self.location.origin) return
  if (/^\/api\/jobs\/[^/]+\/photographs\/[^/]+$/.test(pathname))
    event.respondWith(photographAnswer(request, (work) => event.waitUntil(work)))
  // What the server answers is never guessed at here: the views keep it themselves, and say of when it is.
  else if (pathname.startsWith('/api/')) return
  else if (request.mode === 'navigate') event.respondWith(page(request))
  else if (pathname !== '/_nuxt/builds/latest.json') event.respondWith(part(request))
})
