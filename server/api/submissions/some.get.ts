import { getQuery } from 'h3'
import { someQuerySchema } from '../../../shared/pieces/submission'
import { check } from '../../http/check'
import { route } from '../../http/route'
import { somePieces } from '../../services/pieces/listing'

export default route('account', ({ event, account }) =>
  somePieces(account, check(someQuerySchema, getQuery(event)).ids)
)
