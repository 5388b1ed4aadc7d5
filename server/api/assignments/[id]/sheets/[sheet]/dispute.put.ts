import { disputeInputSchema } from '../../../../../../shared/exercises/worksheet'
import { body } from '../../../../../http/body'
import { idParam, route } from '../../../../../http/route'
import { disputeBox } from '../../../../../services/exercises/sheets'

export default route('learner', async ({ event, account }) => {
  const said = await body(event, disputeInputSchema)
  await disputeBox(account, idParam(event), { sheetId: idParam(event, 'sheet'), ...said })
  return {}
})
