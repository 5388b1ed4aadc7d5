/** An export from the page's side: begun, followed, fetched once, called off, or told why not. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { refusal, servePage, type Answer, type PageServer } from '../testing/pageServer'
import { useExportJob } from './useExportJob'
import type { ExportState } from '~~/shared/pieces/export'

let server: PageServer, scope: EffectScope, saved: string[], looks: Answer[]
const state = (now: ExportState['state'], share: number): ExportState => ({
  id: 'x1',
  name: 'layers.ora',
  state: now,
  share
})
const settled = (done: () => boolean) =>
  vi.waitFor(
    () => {
      if (!done()) throw new Error('not yet')
    },
    { timeout: 5000 }
  )

beforeEach(async () => {
  scope = effectScope()
  saved = []
  looks = [{ body: state('making', 0.4) }, { body: state('done', 1) }]
  server = await servePage(({ method }) => {
    if (method === 'POST') return { body: state('making', 0) }
    if (method === 'DELETE') return { body: {} }
    return looks.length > 1 ? looks.shift()! : looks[0]!
  })
  // The link that the browser saves a file by.
  vi.stubGlobal('document', {
    createElement: () => ({
      href: '',
      download: null,
      click() {
        saved.push((this as { href: string }).href)
      }
    })
  })
})
afterEach(() => {
  scope.stop()
  server.close()
})
const begun = () => scope.run(() => useExportJob(7))!

it('follows the work and has the file saved once, when it is done', async () => {
  const { job: now, begin } = begun(),
    shares = new Set<number>()
  await begin('layers.ora')
  expect(server.asked[0]).toEqual({ method: 'POST', path: '/submissions/7/exports', body: { name: 'layers.ora' } })
  await settled(() => {
    if (now.value) shares.add(now.value.share)
    return saved.length > 0
  })
  expect([...shares]).toEqual([0, 0.4])
  await new Promise(resolve => setTimeout(resolve, 600))
  expect([saved, now.value]).toEqual([['/api/submissions/7/exports/x1/file'], null])
})

it('is called off on the server too, and nothing is saved afterwards', async () => {
  looks = [{ body: state('making', 0.4) }]
  const { job: now, begin, callOff } = begun()
  await begin('layers.ora')
  await callOff()
  looks = [{ body: state('done', 1) }]
  await new Promise(resolve => setTimeout(resolve, 600))
  expect(server.asked.filter(a => a.method === 'DELETE').map(a => a.path)).toEqual(['/submissions/7/exports/x1'])
  expect([now.value, saved]).toEqual([null, []])
})

it.each([
  ['it fails', { body: state('failed', 0.4) }, 'It could not be made. Try again; the piece itself is untouched.'],
  [
    'it is no longer there',
    refusal(404, 'not-found', 'This export is no longer kept.'),
    'This export is no longer kept.'
  ],
  ['the answer is not what was agreed', { body: { id: 'x1', share: 7 } }, 'Something went wrong here. Try again.']
] as const)('when %s the page says so and stops asking', async (_, answer, sentence) => {
  looks = [answer]
  const { job: now, problem, begin } = begun()
  await begin('layers.ora')
  await settled(() => problem.value !== '')
  const asked = server.asked.length
  await new Promise(resolve => setTimeout(resolve, 600))
  expect([problem.value, now.value, saved, server.asked.length]).toEqual([sentence, null, [], asked])
})

it('says so when it could not even be begun', async () => {
  server.close()
  const { job: now, problem, begin } = begun()
  server = await servePage(() => {
    throw new Error('cut')
  })
  await begin('sheet-a4.pdf')
  expect([problem.value, now.value]).toEqual([
    'The server does not answer. What you wrote is still here; try again in a moment.',
    null
  ])
})
