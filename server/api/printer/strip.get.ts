import { route } from '../../http/route'
import { sendWorksheet, worksheetAsked } from '../../http/worksheet'
import { stripPage } from '../../services/exercises/printers'

/** The page that strips of greys and colours are cut from. */
export default route('account', async ({ event, account }) =>
  sendWorksheet(event, await stripPage(account, worksheetAsked(event).paper))
)
