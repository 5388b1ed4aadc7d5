/** Who is signed in. */
import { z } from 'zod'
import { dropAllKept } from '~/utils/kept'
import {
  accountSchema,
  sessionSchema,
  type signInSchema,
  type Account,
  type Role,
  type Session
} from '~~/shared/account'

export const useSessionStore = defineStore('session', () => {
  const session = ref<Session | null>(null)
  const account = computed(() => session.value?.account ?? null)
  /** Whoever is signed in, on pages that only they reach. @throws TypeError when nobody is. */
  const person = computed(() => {
    if (!account.value) throw new TypeError('nobody is signed in')
    return account.value
  })
  const demo = computed(() => session.value?.demo ?? []),
    owned = computed(() => session.value?.owned ?? true)

  async function load(): Promise<void> {
    session.value = await api(sessionSchema, '/session')
  }
  async function signIn(body: z.infer<typeof signInSchema>): Promise<void> {
    await api(accountSchema, '/session', { method: 'POST', body })
    await load()
  }
  async function signOut(): Promise<void> {
    await api(z.object({}), '/session', { method: 'DELETE' })
    dropAllKept()
    await load()
  }
  return { account, person, demo, owned, load, signIn, signOut, loaded: computed(() => session.value !== null) }
})

const hasOne = ({ roles }: Account, ...of: readonly Role[]): boolean => of.some(role => roles.includes(role))
export const teaches = (account: Account): boolean => hasOne(account, 'instructor', 'assistant')
export const learns = (account: Account): boolean => hasOne(account, 'learner')

/** Where somebody's work begins. */
export const homeOf = (account: Account): string =>
  teaches(account) ? '/desk' : learns(account) ? '/work' : '/account'
