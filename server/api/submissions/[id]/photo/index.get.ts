import { setResponseHeader } from 'h3'
import { idParam, route } from '../../../../http/route'
import { sentScratch } from '../../../../http/stream'
import { photographOf } from '../../../../services/pieces/photographed'

const LIMIT_MS = 60_000

/** The photograph that a piece was handed in as, upright and without metadata. */
export default route(
  'staff',
  async ({ event, account }) => {
    const { mediaType, file } = await photographOf(account, idParam(event))
    setResponseHeader(event, 'content-type', mediaType)
    setResponseHeader(event, 'cache-control', 'private, no-store')
    return sentScratch(event, file)
  },
  { limitMs: LIMIT_MS }
)
