const CACHE = 'hc-photographs'
/** As many as are kept; the oldest go first. */
const MOST = 200

const keep = async (request: Request, answer: Response): Promise<void> => {
  const cache = await caches.open(CACHE)
  await cache.put(request, answer)
  const kept = await cache.keys()
  await Promise.all(kept.slice(0, Math.max(0, kept.length - MOST)).map((old) => cache.delete(old)))
}

/**
 * A photograph of a job: the server's word on who may see it stands while it can be reached; out of reach, what the
 * device has seen. One that can't be kept is shown all the same.
 * @param behind Goes on after the answer.
 */
export const photographAnswer = async (
  request: Request,
  behind: (work: Promise<void>) => void,
): Promise<Response> => {
  try {
    const answer = await fetch(request)
    if (answer.ok) behind(keep(request, answer.clone()).catch(() => {}))
    return answer
  } catch (failure) {
    const kept = await caches.match(request, { cacheName: CACHE })
    if (kept) return kept
    throw failure
  }
}
