import { getRequestHeader, readMultipartFormData } from 'h3'
import { AppError } from '../../../shared/errors'
import { handInSchema, PICTURE_LIMITS } from '../../../shared/submission'
import { check, route } from '../../http/route'
import { handIn } from '../../services/handing-in'

/** Room for the form's words beside the picture. */
const FORM_BYTES = 64 * 1024

export default route('learner', async ({ event, account }) => {
  // The form is read whole, so its length is settled before a byte of it is.
  const length = Number(getRequestHeader(event, 'content-length'))
  if (!Number.isFinite(length)) throw new AppError('invalid', 'The upload does not say how long it is.')
  if (length > 2 * PICTURE_LIMITS.bytes + FORM_BYTES) throw new AppError('too-large', 'The file is larger than 25 MB.')
  const parts = await readMultipartFormData(event).catch(() => undefined) ?? []
  const picture = parts.find(part => part.name === 'picture')
  if (!picture || picture.data.length === 0) throw new AppError('invalid', 'The picture is missing.')
  const reference = parts.find(part => part.name === 'reference' && part.data.length > 0)
  const words = Object.fromEntries(parts.filter(part => part !== picture && part !== reference).map(part => [part.name ?? '', part.data.toString('utf8')]))
  return { id: await handIn(account, check(handInSchema, words), picture.data, new Date(), reference?.data) }
})
