/**
 * Pages behind the sign-in, and whose they are: each page says so in its `definePageMeta`, and one that says nothing is
 * closed. The server refuses all the same; this only spares a blank page.
 */
export default defineNuxtRouteMiddleware(async to => {
  // An address that leads nowhere is told so by the error page.
  if (to.matched.length === 0) return
  const session = useSessionStore()
  if (!session.loaded) await session.load()
  const { account } = session,
    { whose = [] } = to.meta
  if (whose === 'anybody') return
  if (!account)
    return to.path === '/sign-in'
      ? undefined
      : navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
  if (whose !== 'everybody' && !whose.some(role => account.roles.includes(role))) return navigateTo(homeOf(account))
})
