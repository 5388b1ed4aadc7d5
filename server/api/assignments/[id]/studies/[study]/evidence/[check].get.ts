import { getRouterParam, setResponseHeader } from 'h3'
import { idParam, route } from '../../../../../../http/route'
import { studyEvidence } from '../../../../../../services/exercises/answering'

/** What a check stands on, seen on a private study. */
export default route('learner', async ({ event, account }) => {
  const study = { id: idParam(event), studyId: idParam(event, 'study') }
  const shown = await studyEvidence(account, study, getRouterParam(event, 'check') ?? '')
  setResponseHeader(event, 'content-type', 'image/png')
  return shown
})
