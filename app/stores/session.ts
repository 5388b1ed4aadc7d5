/** Who is signed in. */
import { z } from 'zod'
import { dropAllKept } from '~/utils/kept'
import { accountSchema, sessionSchema, type Session } from '~~/shared/account'

export const useSessionStore = defineStore('session', () => {
  const session = ref<Session | null>(null)
  const account = computed(() => session.value?.account ?? null)
  /** Whoever is signed in, on pages that only they reach. @throws TypeError when nobody is. */
  const person = computed(() => {
    if (!account.value) throw new TypeError('nobody is signed in')
    return account.value
  })
  const demo = computed(() => session.value?.demo ?? [])

  async function load(): Promise<void> {
    session.value = await api(sessionSchema, '/session')
  }
  async function signIn(email: string, password: string): Promise<void> {
    await api(accountSchema, '/session', { method: 'POST', body: { email, password } })
    await load()
  }
  async function signOut(): Promise<void> {
    await api(z.object({}), '/session', { method: 'DELETE' })
    dropAllKept()
    await load()
  }
  return { account, person, demo, load, signIn, signOut, loaded: computed(() => session.value !== null) }
})

/** Where each role begins. */
export const homeOf = (role: 'instructor' | 'learner'): string => (role === 'instructor' ? '/desk' : '/work')
