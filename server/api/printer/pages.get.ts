import { route } from '../../http/route'
import { sendWorksheet, worksheetAsked } from '../../http/worksheet'
import { printerPages } from '../../services/exercises/printers'

/** The two pages to print. */
export default route('account', async ({ event, account }) =>
  sendWorksheet(event, await printerPages(account, worksheetAsked(event).paper))
)
