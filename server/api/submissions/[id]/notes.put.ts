import { notesChangeSchema } from '../../../../shared/notes'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changeNotes } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  await changeNotes(account, idParam(event), await body(event, notesChangeSchema))
  return {}
})
