/** One submission's picture in its worker, with its reference if it has one: loaded, and closed with the component. */
import type { ShallowRef } from 'vue'
import { openPictureWorker, type PictureClient } from '~/workers/client'
import type { PictureWorker } from '~/workers/protocol'

export interface UsedPicture {
  readonly client: PictureClient
  readonly ready: Ref<boolean>
  readonly referenceReady: Ref<boolean>
  readonly problem: Ref<string>
  /** What the measuring said when it failed last; empty when it did not. */
  readonly failed: Ref<string>
  /** Asks the worker; null when it fails, which is said beside the picture. */
  readonly ask: <T>(call: (worker: PictureWorker) => Promise<T>) => Promise<T | null>
  readonly loadReference: () => Promise<void>
}

/** Questions to a worker, and what it said when one failed. */
export function askOf(client: Pick<PictureClient, 'call'>): Pick<UsedPicture, 'ask' | 'failed'> {
  const failed = ref('')
  async function ask<T>(call: (worker: PictureWorker) => Promise<T>): Promise<T | null> {
    try {
      const answer = await client.call(call)
      failed.value = ''
      return answer
    } catch (error) {
      if ((error as Error).message !== 'closed') failed.value = (error as Error).message
      return null
    }
  }
  return { ask, failed }
}

export function usePicture(submissionId: number): UsedPicture {
  const client = openPictureWorker()
  const ready = ref(false),
    referenceReady = ref(false),
    problem = ref('')
  async function load(size: 'display' | 'reference'): Promise<void> {
    const response = await fetch(apiAt(`/submissions/${submissionId}/picture/${size}`))
    if (!response.ok) throw new Error('The picture could not be fetched.')
    const file = await response.blob()
    await client.call(w => w.load(file, size === 'display' ? 'own' : 'reference'))
  }
  const said = (error: unknown): void => {
    if ((error as Error).message !== 'closed') problem.value = (error as Error).message
  }
  void load('display').then(() => {
    ready.value = true
  }, said)
  onScopeDispose(() => client.close())
  return {
    client,
    ready,
    referenceReady,
    problem,
    ...askOf(client),
    loadReference: () =>
      load('reference').then(() => {
        referenceReady.value = true
      }, said)
  }
}

export const PICTURE_KEY = Symbol('picture') as InjectionKey<UsedPicture>
/** The picture of the bench this component stands on. */
export const useBenchPicture = (): UsedPicture => inject(PICTURE_KEY)!

/**
 * Asks the worker again whenever what the question reads changes; the newest answer wins.
 * @param question reads its reactive sources at once and gives the call, or null when there is nothing to ask.
 */
export function useAsked<T>(
  question: () => ((worker: PictureWorker) => Promise<T>) | null
): Readonly<ShallowRef<T | null>> {
  const { ask: askWorker, ready } = useBenchPicture()
  const answer = shallowRef<T | null>(null)
  watchEffect(async onCleanup => {
    let stale = false
    onCleanup(() => {
      stale = true
    })
    const ask = ready.value ? question() : null
    const found = ask && (await askWorker(ask))
    if (!stale) answer.value = found
  })
  return answer
}
