/** Edits of what the critic makes of the piece: notes, verdicts on readings, the score. */
import type { ReadingVerdict } from '~~/core/critique/reading'
import type { Station } from '~~/core/critique/stations/station'
import type { Critique } from '~~/shared/critique'
import type { Notes, NotesChange } from '~~/shared/notes'
import type { Scored } from '~~/shared/score'
import type { Sending } from './sending'
import type { Steps } from './steps'

type Written = Omit<NotesChange, 'over'>

function noteWords(notes: Written): string {
  const said = (value: unknown): string =>
    typeof value === 'string' ? value : Array.isArray(value) ? `${value.length} noted` : value ? 'set' : 'nothing'
  return Object.values(notes).map(said).join('\n')
}

function scoreWords(score: Scored | null): string {
  if (!score) return 'no score'
  const given = score.qualities.filter(q => score.scores[q.key] !== undefined)
  return given.map(q => `${q.title}: ${score.scores[q.key]}`).join('\n')
}

export function editsOfJudgement({ keep }: Sending, { send, replace }: Steps, critique: () => Critique) {
  const note = (change: Written | ((now: Notes) => Written)) => {
    const made = (now: Notes): Written => (typeof change === 'function' ? change(now) : change)
    const touched = (now: Notes): Written =>
      Object.fromEntries(Object.keys(made(now)).map(name => [name, now[name as keyof Notes]]))
    return replace<Written, Written>({
      what: 'a note',
      words: noteWords,
      current: () => touched(critique().notes),
      mine: () => made(critique().notes),
      put: (next, over) => send('PUT', '/notes', { ...next, over })
    })
  }
  return {
    note,
    /** Being at a station is noted once, and is nothing to take back. */
    async visit(where: Station): Promise<void> {
      const { state, notes } = critique()
      if (state === 'released' || notes.visited.includes(where)) return
      await keep(() => send('PUT', '/notes', { visited: [where] }))
    },
    /** Changes the verdict on a reading, or with null returns to the measured one. */
    judge: (key: string, verdict: ReadingVerdict | 'dismissed' | null) =>
      note(({ judged }) => {
        const others = judged.filter(j => j.key !== key)
        return { judged: verdict === null ? others : [...others, { key, verdict }] }
      }),
    /** The score as a whole, made from what it is; null for words only. */
    score: (change: (now: Scored | null) => Scored | null) =>
      replace<Scored | null, Scored | null>({
        what: 'the score',
        words: scoreWords,
        current: () => critique().score,
        mine: change,
        put: (score, over) => send('PUT', '/score', { score, over })
      })
  }
}
