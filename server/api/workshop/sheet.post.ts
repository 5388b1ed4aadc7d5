import { PICTURE_FORM_MS, withPhotograph } from '../../http/form'
import { route } from '../../http/route'
import { takeSwatches } from '../../services/workshop/sheet'

/** A photograph of the painted sheet: what the mixtures really gave. */
export default route(
  'account',
  ({ event, account }) => withPhotograph(event, async file => ({ read: await takeSwatches(account, file) })),
  { limitMs: PICTURE_FORM_MS }
)
