/** Two versions of a picture in their worker, one laid on the other. */
import type { ShallowRef } from 'vue'
import type { Camera } from '~~/core/compare/light'
import type { Point } from '~~/core/numeric/homography'
import type { Registration } from '~~/core/register/register'
import { openVersionsWorker } from '~/workers/client'
import type { Side, VersionsLens } from '~/workers/versions-protocol'

export interface LaidPictures {
  /** Of the old one, as it is held; null until both are there. */
  readonly size: Readonly<Ref<{ width: number; height: number } | null>>
  /** Of the new one. */
  readonly newSize: Readonly<Ref<{ width: number; height: number } | null>>
  /** Counts how often the one was laid on the other; 0 while it was not. */
  readonly laid: Readonly<Ref<number>>
  readonly problem: Ref<string>
  /** Both as they are, in the old one's frame: what patches are cut from. */
  readonly plain: Readonly<ShallowRef<Readonly<Record<Side, ImageBitmap>> | null>>
  readonly load: (file: Blob, side: Side) => Promise<void>
  readonly fetchVersion: (submissionId: number, side: Side) => Promise<void>
  readonly register: () => Promise<Registration | null>
  readonly lay: (corners: readonly Point[], light: Camera | null) => Promise<void>
  readonly shown: (side: Side, lens: VersionsLens) => Promise<ImageBitmap | null>
  /** The new one, not laid on anything. */
  readonly unlaid: () => Promise<ImageBitmap | null>
}

export function useLaidPictures(): LaidPictures {
  const client = openVersionsWorker()
  const size = shallowRef<{ width: number; height: number } | null>(null),
    newSize = shallowRef<{ width: number; height: number } | null>(null),
    laid = ref(0),
    problem = ref(''),
    plain = shallowRef<Record<Side, ImageBitmap> | null>(null)
  onScopeDispose(() => client.close())
  /** @returns null when it fails, which is said. */
  async function ask<T>(call: Parameters<typeof client.call<T>>[0]): Promise<T | null> {
    try {
      return await client.call(call)
    } catch (error) {
      if ((error as Error).message !== 'closed') problem.value = (error as Error).message
      return null
    }
  }
  async function load(file: Blob, side: Side): Promise<void> {
    problem.value = ''
    const found = await ask(w => w.load(file, side))
    if (side === 'old') size.value = found
    else newSize.value = found
    if (!found) problem.value = 'The picture cannot be opened here.'
  }
  return {
    size,
    newSize,
    laid,
    problem,
    plain,
    load,
    async fetchVersion(submissionId, side) {
      const response = await fetch(apiAt(`/submissions/${submissionId}/picture/display`)).catch(() => null)
      if (response?.ok) return load(await response.blob(), side)
      problem.value = 'The picture could not be fetched.'
    },
    register: () => ask(w => w.register()),
    async lay(corners, light) {
      if (!(await ask(w => w.lay(corners, light)))) return
      const [old, next] = [
        await ask(w => w.shown('old', { name: 'plain' })),
        await ask(w => w.shown('new', { name: 'plain' }))
      ]
      if (!old || !next) return
      plain.value = { old, new: next }
      laid.value++
    },
    shown: (side, lens) => ask(w => w.shown(side, lens)),
    unlaid: () => ask(w => w.plain())
  }
}

export const LAID_KEY = Symbol('laid pictures') as InjectionKey<LaidPictures>
/** The two versions that this component stands over. */
export const useLaid = (): LaidPictures => inject(LAID_KEY)!
