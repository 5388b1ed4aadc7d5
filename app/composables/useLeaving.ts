/** Signing out, and back at the door. */
export function useLeaving() {
  const session = useSessionStore()
  return {
    async leave(): Promise<void> {
      await session.signOut()
      await navigateTo('/sign-in')
    }
  }
}
