/** The instructor's phrase shelf: fetched when it is first opened, and again once something new was written. */
import { z } from 'zod'
import { phraseListSchema, type Phrase } from '~~/shared/phrase'
import type { Station } from '~~/core/critique/stations/station'

export interface Shelf {
  readonly problem: Readonly<Ref<string>>
  readonly load: () => Promise<void>
  /** Phrases that hold every word sought, those of this station first, then by use. */
  readonly found: (station: Station, sought: string) => Phrase[]
  readonly reword: (phrase: Phrase, words: string) => Promise<void>
  readonly remove: (phrase: Phrase) => Promise<void>
}

export function usePhrases(): Shelf {
  const phrases = shallowRef<readonly Phrase[]>([]),
    problem = ref('')
  async function attempt(work: () => Promise<unknown>): Promise<void> {
    try {
      await work()
      phrases.value = await api(phraseListSchema, '/phrases')
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  return {
    problem,
    load: () => attempt(async () => {}),
    found(station, sought) {
      const parts = sought.toLowerCase().split(/\s+/).filter(Boolean)
      return phrases.value
        .filter(p => parts.every(part => p.words.toLowerCase().includes(part)))
        .sort((p, q) => Number(q.station === station) - Number(p.station === station))
    },
    reword: (phrase, words) =>
      attempt(() => api(z.object({}), `/phrases/${phrase.id}`, { method: 'PUT', body: { words } })),
    remove: phrase => attempt(() => api(z.object({}), `/phrases/${phrase.id}`, { method: 'DELETE' }))
  }
}
