import { route } from '../../http/route'
import { forgetPrinter } from '../../services/exercises/printers'

export default route('account', async ({ account }) => {
  await forgetPrinter(account)
  return {}
})
