import { getRouterParam } from 'h3'
import { joinSchema } from '../../../../shared/link'
import type { Account } from '../../../../shared/account'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { browserOf, clientAddress } from '../../../http/sender'
import { beginSession } from '../../../http/session'
import { joinAnew } from '../../../services/entering/entering'

/** Somebody new joins a class. */
export default route(
  'anybody',
  async ({ event }): Promise<Account> => {
    const written = await body(event, joinSchema)
    const { token, account } = await joinAnew(getRouterParam(event, 'code') ?? '', written, {
      address: clientAddress(event),
      browser: browserOf(event)
    })
    await beginSession(event, token)
    return account
  },
  { limitMs: 30_000 }
)
