/**
 * A shelf from the page's side: a window at a time, what is measured asked after alone and ever less often, nothing of
 * a shelf that was left.
 */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, ref, type EffectScope } from 'vue'
import { servePage, type PageServer } from '../testing/pageServer'
import { usePieceList } from './usePieceList'
import type { ListedSubmission, Shelf } from '~~/shared/pieces/submission'

let server: PageServer,
  scope: EffectScope,
  looks = 0
const asked: { path: string; at: number }[] = []
const piece = (id: number, state: 'done' | 'measuring'): ListedSubmission => ({
  id,
  classId: 1,
  className: 'c',
  learner: { id: 2, name: 'l' },
  title: `${id}`,
  stage: 'study',
  medium: '',
  question: '',
  about: '',
  plannedScheme: null,
  assignmentId: null,
  handedInAt: '2026-11-01T10:00:00.000Z',
  state: 'waiting',
  width: 4,
  height: 3,
  hasReference: false,
  photo: null,
  version: 1,
  earlierId: null,
  budgetMinutes: 25,
  spentMinutes: 0,
  talked: false,
  measurement: state === 'done' ? { state, fingerprint: null } : { state }
})
beforeEach(async () => {
  scope = effectScope()
  looks = 0
  asked.length = 0
  server = await servePage(({ path }) => {
    asked.push({ path, at: performance.now() })
    const query = new URLSearchParams(path.split('?')[1])
    if (path.includes('/some'))
      return {
        body: query
          .get('ids')!
          .split(',')
          .map(id => piece(Number(id), ++looks > 2 ? 'done' : 'measuring'))
      }
    if (query.get('shelf') === 'released') return { body: { items: [piece(90, 'done')], next: null } }
    return {
      body: query.get('after')
        ? { items: [piece(3, 'done')], next: null }
        : { items: [piece(1, 'done'), piece(2, 'measuring')], next: 2 }
    }
  })
})
afterEach(() => {
  scope.stop()
  server.close()
})
const shelf = ref<Shelf>('review')
const list = () => scope.run(() => usePieceList(() => shelf.value))!
const until = (so: () => boolean) =>
  vi.waitFor(
    () => {
      if (!so()) throw new Error('not yet')
    },
    { timeout: 12_000 }
  )

it('asks for the next window behind the last piece, once, and for another shelf anew', async () => {
  const { pieces, next, more, ready } = list()
  await until(() => ready.value)
  expect([pieces.value.map(p => p.id), next.value]).toEqual([[1, 2], 2])
  await Promise.all([more(), more()])
  expect([pieces.value.map(p => p.id), next.value]).toEqual([[1, 2, 3], null])
  expect(asked.filter(a => a.path.includes('after')).map(a => a.path)).toEqual(['/submissions?shelf=review&after=2'])
  const late = more()
  shelf.value = 'released'
  await late
  await until(() => ready.value && pieces.value.length === 1)
  expect(pieces.value.map(p => p.id)).toEqual([90])
  shelf.value = 'review'
})

it('asks after what is being measured alone, less often each time, and no more when it is done', async () => {
  const { pieces } = list()
  await until(() => pieces.value[1]?.measurement.state === 'done')
  const some = asked.filter(a => a.path.includes('/some')),
    waits = some.map((a, i) => a.at - (i ? some[i - 1]!.at : asked[0]!.at))
  expect(some.map(a => a.path)).toEqual(Array(3).fill('/submissions/some?ids=2'))
  expect(waits[1]!).toBeGreaterThan(1.3 * waits[0]!)
  expect(waits[2]!).toBeGreaterThan(1.3 * waits[1]!)
  await new Promise(resolve => setTimeout(resolve, 2000))
  expect(asked.filter(a => a.path.includes('/some'))).toHaveLength(3)
}, 20_000)
