/** Asking the worker again whenever the question changes. */
import { expect, it } from 'vitest'
import { createApp, effectScope, nextTick, ref } from 'vue'
import type { PictureWorker } from '~/workers/protocol'
import { askOf, PICTURE_KEY, useAsked, type UsedPicture } from './usePicture'

/** A worker that answers when it is told to. */
function slowWorker() {
  const asked: { readonly question: string; readonly answer: (found: string) => void; readonly fail: () => void }[] = []
  const ready = ref(true)
  const call = <T>(ask: (w: PictureWorker) => Promise<T>): Promise<T> =>
    new Promise((resolve, reject) => {
      void ask({
        ask: (question: string) => {
          asked.push({ question, answer: resolve as (found: string) => void, fail: () => reject(new Error('dead')) })
        }
      } as never)
    })
  const picture = { ready, ...askOf({ call }) }
  const app = createApp({})
  app.provide(PICTURE_KEY, picture as unknown as UsedPicture)
  const scope = effectScope()
  const use = (question: () => string | null) =>
    scope.run(() =>
      app.runWithContext(() =>
        useAsked<string>(() => {
          const q = question()
          return q === null ? null : w => (w as unknown as { ask: (q: string) => Promise<string> }).ask(q)
        })
      )
    )!
  return { asked, ready, failed: picture.failed, use, stop: () => scope.stop() }
}

it('the newest question has the last word, also when an older one is answered later', async () => {
  const { asked, use } = slowWorker(),
    wheel = ref<string | null>('painter'),
    answer = use(() => wheel.value)
  await nextTick()
  wheel.value = 'process'
  await nextTick()
  expect(asked.map(a => a.question)).toEqual(['painter', 'process'])
  asked[1]!.answer('of process')
  await nextTick()
  asked[0]!.answer('of painter')
  await nextTick()
  await nextTick()
  expect(answer.value).toBe('of process')
})

it('asks nothing before the picture is there, and forgets the answer when there is nothing to ask', async () => {
  const { asked, ready, use } = slowWorker(),
    wheel = ref<string | null>('painter')
  ready.value = false
  const answer = use(() => wheel.value)
  await nextTick()
  expect(asked).toEqual([])
  ready.value = true
  await nextTick()
  asked[0]!.answer('of painter')
  await new Promise(resolve => setTimeout(resolve))
  expect(answer.value).toBe('of painter')
  wheel.value = null
  await new Promise(resolve => setTimeout(resolve))
  expect(answer.value).toBeNull()
})

it('a question that fails says so until one is answered; one of a part that is gone changes nothing', async () => {
  const { asked, failed, use, stop } = slowWorker(),
    wheel = ref('painter'),
    answer = use(() => wheel.value)
  await nextTick()
  asked[0]!.fail()
  await new Promise(resolve => setTimeout(resolve))
  expect(answer.value).toBeNull()
  expect(failed.value).toBe('dead')
  wheel.value = 'process'
  await nextTick()
  stop()
  asked[1]!.answer('too late')
  await new Promise(resolve => setTimeout(resolve))
  expect(answer.value).toBeNull()
  expect(failed.value).toBe('')
})
