import { hearNews } from '../jobs/news'
import { hearOfPeople } from '../jobs/people'

/** Viewers here hear of what other server processes write; people are looked up again when one of them changed somebody. */
export default defineNitroPlugin(() => {
  hearNews()
  hearOfPeople()
})
