/** Where things lie: a proxy may serve the application under a path of its own, which the page is told of. */
interface Told {
  readonly __NUXT__?: { readonly config?: { readonly app?: { readonly baseURL?: string } } }
}
/** Read as this module comes in: the page takes the note down once it has begun. */
const base = ((globalThis as Told).__NUXT__?.config?.app?.baseURL ?? '/').replace(/\/$/, '')

/** A page of ours, where the router does not make the link itself. @param path of it, from "/" on. */
export const pageAt = (path: string): string => base + path
/** The same whole, to be given to somebody. */
export const pageLink = (path: string): string => location.origin + pageAt(path)
/** What the server gives. @param path below its `/api`, from "/" on. */
export const apiAt = (path: string): string => `${base}/api${path}`
