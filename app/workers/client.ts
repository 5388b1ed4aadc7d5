/**
 * The page's side of a worker. Comlink's calls never settle when a worker dies and its errors lose their kind; here
 * every pending call is rejected with a sentence instead.
 */
import { wrap } from 'comlink'
import type { PaintWorker } from './paint-protocol'
import type { PhotoWorker } from './photo-protocol'
import type { PictureWorker } from './protocol'
import type { VersionsWorker } from './versions-protocol'

export interface WorkerClient<W> {
  readonly call: <T>(ask: (worker: W) => Promise<T>) => Promise<T>
  readonly close: () => void
}
export type PictureClient = WorkerClient<PictureWorker>
export type VersionsClient = WorkerClient<VersionsWorker>

export const openPictureWorker = (): PictureClient =>
  clientOf(new Worker(new URL('./picture.worker.ts', import.meta.url), { type: 'module' }))

export const openVersionsWorker = (): VersionsClient =>
  clientOf(new Worker(new URL('./versions.worker.ts', import.meta.url), { type: 'module' }))

export const openPhotoWorker = (): WorkerClient<PhotoWorker> =>
  clientOf(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }))

export const openPaintWorker = (): WorkerClient<PaintWorker> =>
  clientOf(new Worker(new URL('./paint.worker.ts', import.meta.url), { type: 'module' }))

function clientOf<W>(worker: Worker): WorkerClient<W> {
  // Every method is asynchronous already, so the remote has the very type; comlink's own splits unions apart.
  const remote = wrap(worker) as unknown as W
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
