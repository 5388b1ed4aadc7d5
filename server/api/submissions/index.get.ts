import { getQuery } from 'h3'
import { listQuerySchema } from '../../../shared/pieces/submission'
import { check } from '../../http/check'
import { route } from '../../http/route'
import { listPieces } from '../../services/pieces/listing'

/** A window of an instructor's shelf in the order to be worked; of a learner's own pieces, newest first. */
export default route('account', ({ event, account }) => listPieces(account, check(listQuerySchema, getQuery(event))))
