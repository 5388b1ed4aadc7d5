import { setResponseHeader } from 'h3'
import { idParam, route } from '../../../http/route'
import { sentScratch } from '../../../http/stream'
import { takeRecord } from '../../../services/record/record'

/** A whole record, as a zip. */
export default route(
  'account',
  async ({ event, account }) => {
    const { file, fileName } = await takeRecord(account, idParam(event, 'person'))
    setResponseHeader(event, 'content-type', 'application/zip')
    setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
    return sentScratch(event, file)
  },
  { limitMs: 10 * 60_000 }
)
