import { route } from '../../http/route'
import { loadDemo } from '../../services/demo'

export default route('owner', async ({ account }) => {
  await loadDemo(account.id)
  return {}
})
