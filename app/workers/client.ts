/**
 * The page's side of the picture worker. Comlink's calls never settle when a worker dies and its
 * errors lose their kind; here every pending call is rejected with a sentence instead.
 */
import { wrap } from 'comlink'
import type { PictureWorker } from './protocol'

export interface PictureClient {
  readonly call: <T>(ask: (worker: PictureWorker) => Promise<T>) => Promise<T>
  readonly close: () => void
}

export function openPictureWorker(): PictureClient {
  const worker = new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' })
  // Every method is asynchronous already, so the remote has the very type; comlink's own splits unions apart.
  const remote = wrap(worker) as unknown as PictureWorker
  let dead: Error | null = null
  const pending = new Set<(error: Error) => void>()
  const die = (why: string): void => {
    dead = new Error(why)
    for (const reject of pending) reject(dead)
    pending.clear()
  }
  worker.addEventListener('error', () =>
    die('The measuring stopped unexpectedly. Reload the page; nothing you wrote is lost.')
  )
  return {
    call(ask) {
      if (dead) return Promise.reject(dead)
      return new Promise((resolve, reject) => {
        pending.add(reject)
        ask(remote)
          .then(resolve, reject)
          .finally(() => pending.delete(reject))
      })
    },
    close() {
      worker.terminate()
      die('closed')
    }
  }
}
