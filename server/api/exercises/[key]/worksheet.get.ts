import { getRouterParam } from 'h3'
import { AppError } from '../../../../shared/errors'
import { exerciseKeySchema } from '../../../../shared/exercises/exercise'
import { route } from '../../../http/route'
import { sendWorksheet, WORKSHEET_MS, worksheetAsked } from '../../../http/worksheet'
import { blankWorksheet } from '../../../services/exercises/worksheets'

/** A sheet from the shelf, for nobody in particular; with its answers, the instructor's key. */
export default route(
  'staff',
  async ({ event, account }) => {
    const { data: key } = exerciseKeySchema.safeParse(getRouterParam(event, 'key'))
    if (!key) throw new AppError('not-found', 'There is no such exercise.')
    return sendWorksheet(event, await blankWorksheet(account, key, worksheetAsked(event)))
  },
  { limitMs: WORKSHEET_MS }
)
