import { getRequestURL, readBody } from 'h3'
import { idParam, route } from '../../../http/route'
import { readAnnotations } from '../../../services/annotations'
import { pictureName } from '../../../services/exporting'

/** Annotations as JSON-LD: a page, a list, or one. */
export default route('instructor', async ({ event, account }) => {
  const id = idParam(event)
  return readAnnotations(account, id, await readBody<unknown>(event).catch(() => undefined), pictureName(getRequestURL(event).origin, id))
})
