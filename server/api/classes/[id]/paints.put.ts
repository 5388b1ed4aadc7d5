import { z } from 'zod'
import { MOST_PAINTS, paintInputSchema } from '../../../../shared/workshop'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { setClassPaints } from '../../../services/workshop/paints'

/** The class's list, in place of what was on it: empty takes it away. */
const listSchema = z.object({ paints: z.array(paintInputSchema).max(MOST_PAINTS, `At most ${MOST_PAINTS} paints.`) })

export default route('instructor', async ({ event, account }) => {
  await setClassPaints(account, idParam(event), (await body(event, listSchema)).paints)
  return {}
})
