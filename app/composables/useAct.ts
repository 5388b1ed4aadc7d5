/** Something that is sent when a button is pressed: busy meanwhile, and what went wrong in words. */
export function useAct() {
  const problem = ref(''),
    busy = ref(false)
  /** @returns whether it went well. */
  async function act(send: () => Promise<unknown>): Promise<boolean> {
    problem.value = ''
    busy.value = true
    try {
      await send()
      return true
    } catch (error) {
      problem.value = messageOf(error)
      return false
    } finally {
      busy.value = false
    }
  }
  return { problem, busy, act }
}
