/** A photograph of work before it is handed in: the sheet found in it, and what is done to it. */
import type { Corrected } from '~~/core/photo/correct'
import { FRAME, NO_STEPS, type PhotoSteps } from '~~/core/photo/steps'
import type { FoundSheet } from '~~/core/photo/find/find'

import { liesIn, middleOf } from '~~/core/numeric/quad'
import { stepsInWords } from '~~/core/photo/words'
import type { Point } from '~~/core/numeric/homography'
import { openPhotoWorker } from '~/workers/client'

/** From this on a sheet is laid flat without being asked; under it that is offered. */
const PLAINLY = 0.82

interface Photograph {
  readonly file: Ref<File | null>
  readonly steps: Ref<PhotoSteps | null>
  /** What the steps make of it; null while nothing is done to it. */
  readonly picture: Ref<Blob | null>
  /** What is done to it already: nothing more is done unasked then. Undefined where nobody has looked at it yet. */
  readonly begun?: PhotoSteps | null
}

export function usePhotographed({ file, steps, picture, begun }: Photograph) {
  const client = openPhotoWorker()
  onScopeDispose(() => client.close())
  const found = shallowRef<FoundSheet | null>(null),
    size = shallowRef<{ width: number; height: number } | null>(null),
    /** Where our printed strip lies. */
    strip = shallowRef<readonly Point[] | null>(null),
    told = shallowRef<Omit<Corrected, 'raster' | 'own'> | null>(null),
    problem = ref(''),
    busy = ref(false)
  let asked = 0

  async function apply(next: PhotoSteps | null): Promise<boolean> {
    const mine = ++asked
    problem.value = ''
    if (!next) {
      steps.value = null
      picture.value = null
      told.value = null
      return true
    }
    busy.value = true
    try {
      const made = await client.call(w => w.correct(next))
      if (mine !== asked) return false
      steps.value = next
      picture.value = made.picture
      told.value = made.told
      return true
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
      return false
    } finally {
      if (mine === asked) busy.value = false
    }
  }
  const onSheet = (corners: readonly Point[]): PhotoSteps => ({ ...(steps.value ?? NO_STEPS), corners })

  watch(
    file,
    async now => {
      await apply(null)
      found.value = null
      size.value = null
      strip.value = null
      if (!now) return
      try {
        const seen = await client.call(w => w.load(now))
        if (file.value !== now) return
        found.value = seen.found
        size.value = { width: seen.width, height: seen.height }
        if (begun !== undefined) await apply(begun)
        else if (seen.found.sure && seen.found.score >= PLAINLY) await apply(onSheet(seen.found.corners))
        const there = await client.call(w => w.strip())
        if (!there || file.value !== now) return
        strip.value = there.corners
        if (begun !== undefined) return
        // What holds the strip is a table or a board, not the sheet.
        const holds = steps.value?.corners && liesIn(steps.value.corners, middleOf(there.corners)),
          { found: other } = there
        if (holds || !steps.value) found.value = other
        const corners = holds ? (other.sure ? other.corners : null) : (steps.value?.corners ?? null)
        // One that cannot be read is said, and left.
        await apply({ ...(steps.value ?? NO_STEPS), corners, strip: there.corners })
      } catch {
        // What this browser cannot open (a TIFF) is taken as it is: the server opens it.
        found.value = null
      }
    },
    { immediate: true }
  )
  return {
    found,
    size,
    strip,
    told,
    problem,
    busy,
    corners: computed(() => steps.value?.corners ?? (found.value?.sure ? found.value.corners : FRAME)),
    said: computed(() => (steps.value && told.value ? stepsInWords(steps.value, told.value) : '')),
    lay: (corners: readonly Point[]) => apply(onSheet(corners)),
    know: (known: PhotoSteps['known']) => apply({ ...(steps.value ?? NO_STEPS), known }),
    useStrip: (use: boolean) => apply({ ...(steps.value ?? NO_STEPS), strip: use ? strip.value : null }),
    even: (even: boolean) => apply({ ...(steps.value ?? NO_STEPS), even }),
    proportion: (ratio: number | null) => apply({ ...(steps.value ?? NO_STEPS), ratio }),
    leave: () => apply(null),
    plain: () => client.call(w => w.plain()).catch(() => null),
    preview: (corners: readonly Point[]) =>
      client.call(w => w.preview(corners, steps.value?.ratio ?? null)).catch(() => null)
  }
}
export type Photographed = ReturnType<typeof usePhotographed>
