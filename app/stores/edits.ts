/** Editing the critique on the bench: one change at a time, each kept as it is made, most to be taken back, none over what another window wrote. */
import { z } from 'zod'
import { createdSchema } from '~~/shared/submission'
import { revisionSchema, type Correction, type CorrectionDraft, type Critique, type MarkedArea } from '~~/shared/critique'
import { AppError, type ErrorCode } from '~~/shared/errors'
import type { Judged, Notes, NotesChange } from '~~/shared/notes'
import type { Scored } from '~~/shared/score'
import type { Station } from '~~/core/critique/reading'
import type { Area } from '~~/core/picture/area'
import { createHistory } from './history'

export type Saving = 'saved' | 'saving' | 'unsaved'

/** A change that another window was quicker with: both versions, and how to let one's own stand after all. */
export interface Conflict { readonly what: string, readonly mine: string, readonly theirs: string, readonly keepMine: () => Promise<unknown> }

/** How a change is told when it meets another. */
interface Told<T> { readonly what: string, readonly mine: string, readonly theirs: () => string, readonly again: () => Promise<T> }
interface Change<T> { readonly redo: () => Promise<T>, readonly undo: () => Promise<unknown> }
type Written = Omit<NotesChange, 'over'>

export interface Held {
  readonly critique: Ref<Critique | null>
  readonly refresh: () => Promise<void>
  /** Path of the piece's own routes. */
  readonly path: (rest: string) => string
}

const none = z.object({})
const wordsOf = ({ what, reason, todo }: CorrectionDraft): string => [what, reason !== what && reason, todo].filter(Boolean).join('\n')
const scoreWords = (score: Scored | null): string => (score ? score.qualities.filter(q => score.scores[q.key] !== undefined).map(q => `${q.title}: ${score.scores[q.key]}`).join('\n') : 'no score')

export function createEdits({ critique, refresh, path }: Held) {
  const saving = ref<Saving>('saved'), problem = ref(''), failure = ref<ErrorCode | null>(null), conflict = shallowRef<Conflict | null>(null)
  /** Counts how often another window's version was taken: what is being written here starts from it again. */
  const theirs = ref(0)
  /** The revision that the words in hand were begun from, or that this window wrote last. */
  let words = { over: 0 }
  /** The last change was not refused but not heard: the same, sent again, may well be taken. */
  const unanswered = computed(() => failure.value === 'unexpected' || failure.value === 'unavailable')
  /** In turn: a change is written over what the one before it left. */
  let queue: Promise<unknown> = Promise.resolve()
  /** The piece that the change under way was made on: by then another may lie on the bench. */
  let piece = ''
  const at = (rest: string): string => piece + rest

  async function run<T>(change: () => Promise<T>, on: string, told?: Told<T>): Promise<T | null> {
    const here = (): boolean => path('') === on
    piece = on
    saving.value = 'saving'
    try {
      const result = await change()
      if (here()) await refresh()
      kept()
      return result
    } catch (error) {
      saving.value = 'unsaved'
      problem.value = messageOf(error)
      failure.value = error instanceof AppError ? error.code : null
      if (told && here() && error instanceof AppError && error.code === 'stale') await offer(told)
      return null
    }
  }
  function kept(): void {
    saving.value = 'saved'
    problem.value = ''
    failure.value = null
  }
  /** Both versions, once the other one is fetched; where they are the same, an answer was lost and nothing else. Where that fails too, the sentence of the refusal stays. */
  async function offer<T>(told: Told<T>): Promise<void> {
    try {
      await refresh()
      if (told.mine === told.theirs()) {
        theirs.value++
        return kept()
      }
      conflict.value = { what: told.what, mine: told.mine, theirs: told.theirs(), keepMine: () => keep(told.again) }
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  /** Runs a change and shows that it is kept; what fails stays on screen with its reason. */
  function keep<T>(change: () => Promise<T>, told?: Told<T>): Promise<T | null> {
    const on = path(''), next = queue.then(() => run(change, on, told))
    queue = next
    return next
  }
  const history = createHistory(keep)
  /** A change that can be taken back. */
  async function step<T>(change: Change<T>, told?: Told<T>): Promise<T | null> {
    const result = await keep(change.redo, told)
    if (result !== null) history.done(change)
    return result
  }
  const send = (method: 'PUT' | 'DELETE', rest: string, body?: unknown) => api(none, at(rest), { method, body })

  /**
   * Puts one version over another. @param seen the version that was being changed, where it lay open for a while; else it is
   * whatever is kept when the change's turn comes.
   */
  function replace<T, U extends T>(told: { what: string, words: (version: T) => string }, current: () => U, mine: (before: U) => T, put: (next: T, over: T) => Promise<unknown>, seen?: U): Promise<unknown> {
    let before: U, next: T, opened = seen
    const redo = (): Promise<unknown> => {
      before = opened ?? current()
      opened = undefined
      return put(next = mine(before), before)
    }
    return step({ redo, undo: () => put(before, next) }, { what: told.what, mine: told.words(mine(current())), theirs: () => told.words(current()), again: redo })
  }
  /** Something new, which redo makes again under another id. */
  function create(rest: string, body: unknown): Promise<number | null> {
    let id = 0
    return step({ redo: async () => (id = (await api(createdSchema, at(rest), { method: 'POST', body })).id), undo: () => send('DELETE', `${rest}/${id}`) })
  }
  function remove(rest: string, id: number, body: unknown): Promise<unknown> {
    let current = id
    return step({ redo: () => send('DELETE', `${rest}/${current}`), undo: async () => { current = (await api(createdSchema, at(rest), { method: 'POST', body })).id } })
  }
  /** What another window may have removed meanwhile. */
  function still<T extends { id: number }>(list: readonly T[], id: number): T {
    const found = list.find(item => item.id === id)
    if (!found) throw new AppError('stale', 'This was removed in another window meanwhile.')
    return found
  }
  const note = (change: Written | ((now: Notes) => Written)) => {
    const made = (now: Notes): Written => (typeof change === 'function' ? change(now) : change)
    const touched = (now: Notes): Written => Object.fromEntries(Object.keys(made(now)).map(name => [name, now[name as keyof Notes]]))
    const words = (notes: Written): string => Object.values(notes).map(value => (typeof value === 'string' ? value : Array.isArray(value) ? `${value.length} noted` : value ? 'set' : 'nothing')).join('\n')
    return replace<Written, Written>({ what: 'a note', words }, () => touched(critique.value!.notes), () => made(critique.value!.notes), (next, over) => send('PUT', '/notes', { ...next, over }))
  }

  return {
    saving, problem, unanswered, conflict, theirs, history, note,
    visit: (where: Station) => keep(() => send('PUT', '/notes', { visited: [where] })),
    addArea: (name: string, area: Area) => create('/areas', { name, area }),
    removeArea: ({ id, name, area }: MarkedArea) => remove('/areas', id, { name, area }),
    changeArea: (id: number, next: { name: string, area: Area }) =>
      replace<typeof next, MarkedArea>({ what: 'an area', words: ({ name }) => name }, () => still(critique.value!.areas, id), () => next, (to, over) => send('PUT', `/areas/${id}`, { ...to, over })),
    addCorrection: (input: CorrectionDraft) => create('/corrections', input),
    removeCorrection: ({ id, ...input }: Correction) => remove('/corrections', id, input),
    changeCorrection: (id: number, input: CorrectionDraft, seen?: Correction) =>
      replace<CorrectionDraft, Correction>({ what: 'a correction', words: wordsOf }, () => still(critique.value!.corrections, id), () => input, (to, over) => send('PUT', `/corrections/${id}`, { ...to, over }), seen),
    orderCorrections(order: number[]) {
      const before = critique.value!.corrections.map(c => c.id)
      return step({ redo: () => send('PUT', '/corrections/order', { order }), undo: () => send('PUT', '/corrections/order', { order: before }) })
    },
    /** Changes the verdict on a reading, or with null returns to the measured one. */
    judge: (key: string, verdict: Judged['verdict'] | null) => note(({ judged }) => {
      const others = judged.filter(j => j.key !== key)
      return { judged: verdict === null ? others : [...others, { key, verdict }] }
    }),
    /** The score as a whole, made from what it is; null for words only. */
    score: (change: (now: Scored | null) => Scored | null) =>
      replace<Scored | null, Scored | null>({ what: 'the score', words: scoreWords }, () => critique.value!.score, change, (score, over) => send('PUT', '/score', { score, over })),
    assign: (exercise: string, dueOn: string) => keep(() => send('PUT', '/assignment', { exercise, dueOn })),
    unassign: () => keep(() => send('DELETE', '/assignment')),
    /** Words are being written from what is kept now, or from an earlier revision: what another window wrote since is not theirs to overwrite. */
    openWords(over = critique.value!.revision) {
      words = { over }
    },
    wordsOver: () => words.over,
    writeVerdict(works: string, verdict: string) {
      const begun = words
      const put = async (over: number): Promise<void> => {
        begun.over = (await api(revisionSchema, at('/verdict'), { method: 'PUT', body: { works, verdict, revision: over } })).revision
      }
      return keep(() => put(begun.over), { what: 'the words', mine: `${works}\n\n${verdict}`, theirs: () => `${critique.value!.works}\n\n${critique.value!.verdict}`, again: () => put(critique.value!.revision) })
    },
    release: (text: string) => keep(() => api(none, at('/release'), { method: 'POST', body: { note: text } })),
    withdraw: () => keep(() => api(none, at('/withdraw'), { method: 'POST' })),
    answer: (text: string) => keep(() => send('PUT', '/answer', { answer: text })),
    measureAgain: () => keep(() => api(none, at('/measure'), { method: 'POST' }))
  }
}
