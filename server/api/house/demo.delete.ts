import { route } from '../../http/route'
import { takeDemoAway } from '../../services/house/demo'

export default route('owner', async ({ account }) => {
  await takeDemoAway(account.id)
  return {}
})
