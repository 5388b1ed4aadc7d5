import { getRouterParam } from 'h3'
import { beginSchema } from '../../../../shared/link'
import type { Account } from '../../../../shared/account'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { browserOf, clientAddress } from '../../../http/sender'
import { beginSession } from '../../../http/session'
import { beginHouse } from '../../../services/entering/entering'

/** The first account of a house, its owner's. */
export default route(
  'anybody',
  async ({ event }): Promise<Account> => {
    const written = await body(event, beginSchema)
    const { token, account } = await beginHouse(getRouterParam(event, 'token') ?? '', written, {
      address: clientAddress(event),
      browser: browserOf(event)
    })
    await beginSession(event, token)
    return account
  },
  { limitMs: 30_000 }
)
