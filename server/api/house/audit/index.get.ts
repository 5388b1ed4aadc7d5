import { getQuery } from 'h3'
import { auditQuerySchema } from '../../../../shared/audit'
import { check } from '../../../http/check'
import { route } from '../../../http/route'
import { auditPage } from '../../../services/house/audit'

/** The latest first, a window at a time. */
export default route('owner', ({ event }) => auditPage(check(auditQuerySchema, getQuery(event)).after ?? null))
