import { createReadStream } from 'node:fs'
import { sendStream, setResponseHeader } from 'h3'
import { idParam, route } from '../../../http/route'
import { dropScratch } from '../../../scratch'
import { takeRecord } from '../../../services/record/record'

/** A whole record, as a zip. */
export default route(
  'account',
  async ({ event, account }) => {
    const { file, fileName } = await takeRecord(account, idParam(event, 'person'))
    setResponseHeader(event, 'content-type', 'application/zip')
    setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
    const bytes = createReadStream(file)
    bytes.once('close', () => void dropScratch(file))
    return sendStream(event, bytes)
  },
  { limitMs: 10 * 60_000 }
)
