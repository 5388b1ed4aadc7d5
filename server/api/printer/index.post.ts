import { PICTURE_FORM_MS, withPhotograph } from '../../http/form'
import { route } from '../../http/route'
import { learnPrinter } from '../../services/exercises/printers'

/** A photograph of the two printed pages: what one's own greys are. */
export default route(
  'account',
  ({ event, account }) => withPhotograph(event, async file => ({ printer: await learnPrinter(account, file) })),
  { limitMs: PICTURE_FORM_MS }
)
