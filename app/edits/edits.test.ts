/**
 * Changes on the bench as the server answers them: one after another, on the piece they were made on, never over
 * another window's.
 */
import { nextTick, shallowRef } from 'vue'
import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import type { Critique } from '~~/shared/critique'
import { NO_NOTES } from '~~/shared/notes'
import { refusal, servePage, type PageServer } from '../testing/pageServer'

/** One critique a piece, with the refusal of stale words as the product's. */
let server: PageServer
interface Kept {
  revision: number
  works: string
  verdict: string
}
let kept: Record<string, Kept> = {}
const log: string[] = []
beforeAll(async () => {
  server = await servePage(({ path, body }) => {
    if (path.endsWith('/notes')) return { body: {} }
    const piece = path.split('/')[2]!,
      now = kept[piece]!,
      words = body as Kept,
      fresh = words.revision === now.revision
    log.push(`${piece} ${words.works} ${fresh ? 'kept' : 'stale'}`)
    if (fresh) kept[piece] = { ...words, revision: now.revision + 1 }
    return fresh ? { body: { revision: now.revision + 1 } } : refusal(409, 'stale', 'Changed in another window.')
  })
})
afterAll(() => server.close())

let piece = 'a'
async function bench() {
  const { createEdits } = await import('./edits'),
    critique = shallowRef<Critique>(null as never)
  const refresh = async (): Promise<void> => {
    critique.value = { ...kept[piece]!, state: 'draft', notes: NO_NOTES } as never
  }
  await refresh()
  const edits = createEdits({ critique: () => critique.value, refresh, path: rest => `/submissions/${piece}${rest}` })
  edits.openWords()
  return edits
}
beforeEach(() => {
  piece = 'a'
  server.delayMs = 5
  kept = { a: { revision: 3, works: '', verdict: '' }, b: { revision: 9, works: 'of b', verdict: '' } }
  log.length = 0
})

it('two saves at once from one window are two versions, not a quarrel with itself', async () => {
  const edits = await bench()
  await Promise.all([edits.writeVerdict('one', ''), edits.writeVerdict('two', '')])
  expect([log, edits.conflict.value, kept.a!.works]).toEqual([['a one kept', 'a two kept'], null, 'two'])
})

it('words that another window changed are not overwritten, nor after something else brought them here', async () => {
  const edits = await bench()
  kept.a = { revision: 4, works: 'theirs', verdict: '' }
  await edits.visit('values') // fetches the critique again, without a word of it reaching the editor
  expect(await edits.writeVerdict('mine', '')).toBeNull()
  expect(log).toEqual(['a mine stale'])
  expect(edits.conflict.value).toMatchObject({
    what: 'the words',
    mine: expect.stringContaining('mine') as string,
    theirs: expect.stringContaining('theirs') as string
  })
  await edits.conflict.value!.keepMine()
  await nextTick()
  expect(kept.a).toMatchObject({ works: 'mine' })
})

it('a save under way when another piece comes to the bench goes to its own', async () => {
  const edits = await bench()
  server.delayMs = 60
  const first = edits.writeVerdict('late', ''),
    second = edits.writeVerdict('later', '')
  piece = 'b'
  edits.openWords()
  await Promise.all([first, second])
  expect(log).toEqual(['a late kept', 'a later kept'])
  expect(kept.b!.works).toBe('of b')
})
