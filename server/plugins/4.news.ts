import { hearNews } from '../jobs/news'

/** Viewers here hear of what other server processes write. */
export default defineNitroPlugin(() => hearNews())
