import { getRouterParam, setResponseHeader } from 'h3'
import { idParam, route } from '../../../../http/route'
import { checkEvidence } from '../../../../services/exercises/listing'

/** What a check stands on, seen on the picture handed in. */
export default route('account', async ({ event, account }) => {
  const shown = await checkEvidence(account, idParam(event), getRouterParam(event, 'check') ?? '')
  setResponseHeader(event, 'content-type', 'image/png')
  return shown
})
