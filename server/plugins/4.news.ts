import { closeNews, listenToNews } from '../jobs/news'

/** Viewers here hear of what other server processes write. */
export default defineNitroPlugin((nitro) => {
  listenToNews()
  nitro.hooks.hook('close', closeNews)
})
