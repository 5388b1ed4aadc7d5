import { route } from '../../http/route'
import { loadDemo } from '../../services/house/demo'

export default route('owner', async ({ account }) => {
  await loadDemo(account.id)
  return {}
})
