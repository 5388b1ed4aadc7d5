import { getQuery } from 'h3'
import { totalsQuerySchema } from '../../../shared/pieces/submission'
import { check } from '../../http/check'
import { route } from '../../http/route'
import { shelfTotals } from '../../services/pieces/listing'

export default route('staff', ({ event, account }) =>
  shelfTotals(account, check(totalsQuerySchema, getQuery(event)).classId ?? null)
)
