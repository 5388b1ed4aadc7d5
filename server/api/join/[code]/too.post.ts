import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { joinToo } from '../../../services/entering/entering'

/** Somebody who is signed in joins a class. */
export default route('account', async ({ event, account }) => {
  await joinToo(account, getRouterParam(event, 'code') ?? '', clientAddress(event))
  return {}
})
