import { chosenSchema } from '../../../../../shared/call'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { chooseEntry } from '../../../../services/calls/calls'

export default route('instructor', async ({ event, account }) => {
  const { take } = await body(event, chosenSchema)
  await chooseEntry(account, idParam(event), { entryId: idParam(event, 'entry'), take })
  return {}
})
