import { ANNOTATION_BYTES } from '../../../../shared/pieces/annotation'
import { readJson } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { publicAddress } from '../../../http/sender'
import { readAnnotations } from '../../../services/pieces/annotations'
import { pictureName } from '../../../services/exports/exports'

/** Annotations as JSON-LD: a page, a list, or one. */
export default route('staff', async ({ event, account }) => {
  const id = idParam(event)
  return readAnnotations(account, id, {
    file: await readJson(event, ANNOTATION_BYTES),
    picture: pictureName(publicAddress(event), id)
  })
})
