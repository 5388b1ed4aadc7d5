import { getRouterParam } from 'h3'
import { enterSchema } from '../../../../shared/link'
import { body } from '../../../http/body'
import { route } from '../../../http/route'
import { browserOf, clientAddress } from '../../../http/sender'
import { beginSession } from '../../../http/session'
import { enterByLink } from '../../../services/entering/entering'

/**
 * A password set by an invitation or a reset. @returns whether that was all, or a second step is still to be taken at
 * the door.
 */
export default route(
  'anybody',
  async ({ event }): Promise<{ in: boolean }> => {
    const { password } = await body(event, enterSchema)
    const entered = await enterByLink(getRouterParam(event, 'token') ?? '', password, {
      address: clientAddress(event),
      browser: browserOf(event)
    })
    if (entered) await beginSession(event, entered.token)
    return { in: entered !== null }
  },
  { limitMs: 30_000 }
)
