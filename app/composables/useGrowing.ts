/** A long list, set up a few items a task, so that however long it is the page answers in between. */
import { nextTask } from '~/start/oneByOne'

/**
 * @param atATime so many more are shown with each task. @param of what the list is one of: when that changes it begins
 * anew, otherwise what is already there stays.
 */
export function useGrowing<T>(
  all: Readonly<Ref<readonly T[]>>,
  atATime: number,
  of: () => unknown = () => null
): Readonly<Ref<readonly T[]>> {
  const shown = ref(0)
  let growing = false,
    gone = false
  onScopeDispose(() => {
    gone = true
  })
  watch(
    of,
    () => {
      shown.value = 0
    },
    { flush: 'sync' }
  )
  watch(
    [() => all.value.length, of],
    async () => {
      if (growing) return
      growing = true
      while (shown.value < all.value.length && !gone) {
        await nextTask()
        shown.value += atATime
      }
      growing = false
    },
    { immediate: true }
  )
  return computed(() => all.value.slice(0, shown.value))
}
