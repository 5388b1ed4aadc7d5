/** What the display was found to show, for the day: another screen, or another evening, is looked at again. */
import { z } from 'zod'
import { conditionsSchema, type Conditions } from '~~/shared/workshop'
import { keptWords } from '~/utils/kept'

export const UNKNOWN: Conditions = { black: null, white: null, gamma: null, room: null }
const keptSchema = z.object({ on: z.string(), conditions: conditionsSchema })
const today = (): string => new Date().toISOString().slice(0, 10)

export function useConditions() {
  const kept = keptWords(useSessionStore().person.id, 'display', keptSchema),
    read = kept.read()
  const conditions = ref<Conditions>(read?.on === today() ? read.conditions : UNKNOWN)
  watch(conditions, value => kept.keep({ on: today(), conditions: value }), { deep: true })
  return { conditions, looked: computed(() => Object.values(conditions.value).every(v => v !== null)) }
}

/** What makes the figures doubtful, in words; empty where nothing does. */
export function doubtsOf({ black, white, gamma, room }: Conditions): string[] {
  return [
    black !== null && black < 3 ? 'This screen swallows darks: thresholds in the dark are its own, not yours.' : '',
    white !== null && white < 3 ? 'This screen swallows lights: turn its contrast down a little.' : '',
    gamma !== null && Math.abs(gamma - 2.2) > 0.3
      ? 'This screen’s middle values lie off: compare your figures with your own here, not with others’.'
      : '',
    room === 'glare' || room === 'dim' ? 'The room counts: an even, neutral light behind you is best.' : ''
  ].filter(Boolean)
}
