import { loginOf, type Session } from '../../shared/account'
import { countOwners, listShown } from '../db/people/accounts'
import { db } from '../db/pool'
import { route } from '../http/route'
import { settings } from '../settings'

export default route('anybody', async ({ account }): Promise<Session> => {
  // Whom one may sign in as is told at the door alone.
  const demo = account || !settings().CRITICA_DEMO ? [] : await listShown(db())
  return {
    account,
    demo: demo.map(({ account: shown, password }) => ({
      name: shown.name,
      login: loginOf(shown),
      password,
      roles: shown.roles
    })),
    owned: (await countOwners(db())) > 0
  }
})
