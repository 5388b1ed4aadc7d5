import { setResponseHeader } from 'h3'
import { format } from 'date-fns'
import { idParam, route } from '../../../../http/route'
import { publicAddress } from '../../../../http/sender'
import { slipsOf } from '../../../../services/roster/people'
import { printSlips } from '../../../../work/workers'

/** A PDF of slips, with links that are made for it where none wait. */
export default route(
  'account',
  async ({ event, account }) => {
    const { className, slips } = await slipsOf(account, idParam(event)),
      address = publicAddress(event)
    const pdf = await printSlips(
      {
        className,
        slips: slips.map(({ name, login, path, expiresAt }) => ({
          name,
          login,
          address: `${address}${path}`,
          until: format(new Date(expiresAt), 'd MMMM')
        }))
      },
      `${account.id}`
    )
    setResponseHeader(event, 'content-type', 'application/pdf')
    return Buffer.from(pdf)
  },
  { limitMs: 120_000 }
)
