import type { Role } from '~~/shared/account'

/** What every page says of itself. */
declare module '#app' {
  interface PageMeta {
    /**
     * Whose it is: of those who have one of these roles; of everybody who is signed in; or of anybody, who is not asked
     * to.
     * A page that leaves it out is closed.
     */
    whose?: readonly Role[] | 'everybody' | 'anybody'
  }
}

export {}
