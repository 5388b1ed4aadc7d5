import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { readCall } from '../../../services/calls/calls'
import { newChallenge } from '../../../services/calls/proof'

/** What is asked, and the small task that a browser does before it sends. */
export default route('anybody', async ({ event }) => {
  const { id, ...call } = await readCall(getRouterParam(event, 'token') ?? '')
  return { call, challenge: await newChallenge(id) }
})
