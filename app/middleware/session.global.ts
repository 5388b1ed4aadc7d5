/** Pages behind the sign-in, and whose they are. The server refuses all the same; this only spares a blank page. */
const INSTRUCTOR = ['/desk', '/bench']
const LEARNER = ['/work', '/hand-in']

export default defineNuxtRouteMiddleware(async to => {
  const session = useSessionStore()
  if (!session.loaded) await session.load()
  const { account } = session
  if (!account)
    return to.path === '/sign-in'
      ? undefined
      : navigateTo({ path: '/sign-in', query: to.path === '/' ? {} : { to: to.fullPath } })
  const others = account.role === 'instructor' ? LEARNER : INSTRUCTOR
  if (to.path === '/' || to.path === '/sign-in' || others.some(p => to.path.startsWith(p)))
    return navigateTo(homeOf(account.role))
})
