/** Asks before the tab is closed or left for another site while something is not saved yet. */
import { useEventListener } from '@vueuse/core'

export function useLeaveWarning(unsaved: () => boolean): void {
  useEventListener(window, 'beforeunload', event => {
    if (unsaved()) event.preventDefault()
  })
}
