import { afterEach, beforeEach, expect, it } from 'vitest'
import { refusal, servePage, type PageServer } from '../testing/pageServer'
import { usePhrases } from './usePhrases'
import type { Phrase } from '~~/shared/phrase'

let server: PageServer, kept: Phrase[]
beforeEach(async () => {
  // By use, as the server lists them.
  kept = [
    { id: 1, field: 'what', station: 'values', words: 'The boat merges with the water.', uses: 9 },
    { id: 2, field: 'todo', station: 'values', words: 'Lift the LIGHTS on the boat.', uses: 5 },
    { id: 3, field: 'what', station: 'focus', words: 'The boat is seen last.', uses: 2 }
  ]
  server = await servePage(({ method, path, body }) => {
    const id = Number(path.split('/')[2])
    if (method === 'PUT' && !(body as { words: string }).words.trim())
      return refusal(400, 'bad-input', 'The phrase is empty.')
    if (method === 'PUT') kept = kept.map(p => (p.id === id ? { ...p, words: (body as { words: string }).words } : p))
    if (method === 'DELETE') kept = kept.filter(p => p.id !== id)
    return { body: method === 'GET' ? kept : {} }
  })
})
afterEach(() => server.close())

it("finds phrases that hold every word sought, whatever its case; this station's first, then by use", async () => {
  const shelf = usePhrases()
  await shelf.load()
  const found = (sought: string) => shelf.found('focus', sought).map(p => p.id)
  expect(found('')).toEqual([3, 1, 2])
  expect(found('  boat  the ')).toEqual([3, 1, 2])
  expect(found('lights BOAT')).toEqual([2])
  expect(found('boat gull')).toEqual([])
  expect(shelf.found('values', 'boat').map(p => p.id)).toEqual([1, 2, 3])
})

it('shows what was reworded and taken off as the server keeps it', async () => {
  const shelf = usePhrases()
  await shelf.load()
  await shelf.reword(kept[0]!, 'The hull merges.')
  await shelf.remove(kept[2]!)
  expect(shelf.found('values', '').map(p => p.words)).toEqual(['The hull merges.', 'Lift the LIGHTS on the boat.'])
})

it('says why a phrase was refused and keeps the shelf as it was; the next that works takes the word back', async () => {
  const shelf = usePhrases()
  await shelf.load()
  await shelf.reword(kept[0]!, '  ')
  expect(shelf.problem.value).toBe('The phrase is empty.')
  expect(shelf.found('values', 'merges')).toHaveLength(1)
  await shelf.load()
  expect(shelf.problem.value).toBe('')
})
