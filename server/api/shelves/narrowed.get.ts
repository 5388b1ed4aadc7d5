import { getQuery } from 'h3'
import { onShelfQuerySchema } from '../../../shared/pieces/submission'
import { check } from '../../http/check'
import { route } from '../../http/route'
import { onShelf } from '../../services/pieces/listing'

export default route('staff', ({ event, account }) => {
  const { shelf, classId } = check(onShelfQuerySchema, getQuery(event))
  return onShelf(account, shelf, classId ?? null)
})
