/** Edits of the words of the verdict, and what is done with it: an exercise, the release, an answer. */
import { z } from 'zod'
import { revisionSchema, type AssignInput, type Critique } from '~~/shared/critique'
import type { Sending } from './sending'
import type { Steps } from './steps'

const none = z.object({})

export function editsOfVerdict({ keep, at }: Sending, { send }: Steps, critique: () => Critique) {
  /** The revision that the words in hand were begun from, or that this window wrote last. */
  let words = { over: 0 }
  return {
    /**
     * Words are being written from what is kept now, or from an earlier revision: what another window wrote since is
     * not theirs to overwrite.
     */
    openWords(over = critique().revision) {
      words = { over }
    },
    wordsOver: () => words.over,
    writeVerdict(works: string, verdict: string) {
      const begun = words
      const put = async (over: number): Promise<void> => {
        const body = { works, verdict, revision: over }
        begun.over = (await api(revisionSchema, at('/verdict'), { method: 'PUT', body })).revision
      }
      return keep(() => put(begun.over), {
        what: 'the words',
        mine: `${works}\n\n${verdict}`,
        theirs: () => `${critique().works}\n\n${critique().verdict}`,
        again: () => put(critique().revision)
      })
    },
    assign: (input: Partial<AssignInput>) => keep(() => send('PUT', '/assignment', input)),
    unassign: () => keep(() => send('DELETE', '/assignment')),
    release: (text: string) => keep(() => api(none, at('/release'), { method: 'POST', body: { note: text } })),
    withdraw: () => keep(() => api(none, at('/withdraw'), { method: 'POST' })),
    answer: (text: string) => keep(() => send('PUT', '/answer', { answer: text })),
    measureAgain: () => keep(() => api(none, at('/measure'), { method: 'POST' }))
  }
}
