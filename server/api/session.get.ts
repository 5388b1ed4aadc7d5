import type { Session } from '../../shared/account'
import { route } from '../http/route'
import { settings } from '../settings'

export default route('anybody', async ({ account }): Promise<Session> => ({
  account,
  demo: settings().CRITICA_SHOWN_SIGN_INS
}))
