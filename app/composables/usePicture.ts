/** One submission's picture in its worker: loaded, and closed with the component. */
import { openPictureWorker, type PictureClient } from '~/workers/client'

export interface UsedPicture {
  readonly client: PictureClient
  readonly ready: Ref<boolean>
  readonly problem: Ref<string>
}

export function usePicture(submissionId: number): UsedPicture {
  const client = openPictureWorker()
  const ready = ref(false), problem = ref('')
  void (async () => {
    try {
      const response = await fetch(`/api/submissions/${submissionId}/picture/display`)
      if (!response.ok) throw new Error('The picture could not be fetched.')
      const file = await response.blob()
      await client.call(w => w.load(file))
      ready.value = true
    } catch (error) {
      if ((error as Error).message !== 'closed') problem.value = (error as Error).message
    }
  })()
  onScopeDispose(() => client.close())
  return { client, ready, problem }
}

export const PICTURE_KEY = Symbol('picture') as InjectionKey<UsedPicture>
/** The picture of the bench this component stands on. */
export const useBenchPicture = (): UsedPicture => inject(PICTURE_KEY)!
