import { getQuery } from 'h3'
import { swatchSheetQuerySchema } from '../../../shared/workshop'
import { check } from '../../http/check'
import { route } from '../../http/route'
import { sendWorksheet } from '../../http/worksheet'
import { swatchPage } from '../../services/workshop/sheet'

/** Kept swatches with boxes to paint beside. */
export default route('account', async ({ event, account }) => {
  const { ids, paper } = check(swatchSheetQuerySchema, getQuery(event))
  return sendWorksheet(event, await swatchPage(account, ids, paper))
})
