import { idParam, route } from '../../../../http/route'
import { sheetsOf } from '../../../../services/exercises/sheets'

/** Filled worksheets, as they were read. */
export default route('account', ({ event, account }) => sheetsOf(account, idParam(event)))
