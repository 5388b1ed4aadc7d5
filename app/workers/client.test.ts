/** The page's side of the worker, against a real thread that speaks comlink: answers, errors, a death, a close. */
import { Worker as Thread } from 'node:worker_threads'
import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { openPictureWorker } from './client'
import type { PictureWorker } from './protocol'

/** What the client is made to speak to: the same two events and one method as the browser's worker has. */
const CODE = `
  const { parentPort } = require('node:worker_threads')
  const { expose } = require('comlink')
  const nodeEndpoint = require('comlink/dist/umd/node-adapter')
  const answers = {
    async histogram() { return [1, 2, 3] },
    async hues() { throw new RangeError('no such wheel: oval') },
    async framings() { return new Promise(() => {}) },
    async scatter() { setTimeout(() => { throw new Error('out of memory') }); return new Promise(() => {}) }
  }
  expose(answers, nodeEndpoint(parentPort))
`
class BrowserWorker extends EventTarget {
  private readonly thread = new Thread(CODE, { eval: true })
  constructor() {
    super()
    this.thread.on('message', data => this.dispatchEvent(new MessageEvent('message', { data })))
    this.thread.on('error', () => this.dispatchEvent(new Event('error')))
    open.push(this)
  }
  postMessage(message: unknown, transfer: never[] = []): void {
    this.thread.postMessage(message, transfer)
  }
  terminate(): void {
    void this.thread.terminate()
  }
}
const open: BrowserWorker[] = []
beforeEach(() => {
  vi.stubGlobal('Worker', BrowserWorker)
})
afterEach(() => {
  for (const worker of open.splice(0)) worker.terminate()
  vi.unstubAllGlobals()
})
const never = (w: PictureWorker) => w.framings()

it('answers, and hands on what was thrown', async () => {
  const client = openPictureWorker()
  expect(await client.call(w => w.histogram())).toEqual([1, 2, 3])
  await expect(client.call(w => w.hues('painter'))).rejects.toThrow('no such wheel: oval')
})

it('every call in flight ends with a sentence when the worker dies, and so does every later one', async () => {
  const client = openPictureWorker(),
    waiting = [client.call(never), client.call(never)]
  const dying = client.call(w => w.scatter())
  for (const call of [...waiting, dying])
    await expect(call).rejects.toThrow(
      'The measuring stopped unexpectedly. Reload the page; nothing you wrote is lost.'
    )
  await expect(client.call(w => w.histogram())).rejects.toThrow('stopped unexpectedly')
})

it('a closed client says no more: what was asked ends at once', async () => {
  const client = openPictureWorker(),
    waiting = client.call(never)
  client.close()
  await expect(waiting).rejects.toThrow('closed')
  await expect(client.call(w => w.histogram())).rejects.toThrow('closed')
})
