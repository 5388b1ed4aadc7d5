/**
 * A version of a piece over an older one: asked of the server with its progress, and what the instructor says of it.
 */
import { z } from 'zod'
import { believed, hiddenByLight } from '~~/core/compare/outcome'
import type { Landing } from '~~/core/compare/verdict'
import type { Point } from '~~/core/numeric/homography'
import { comparedSchema, versionListSchema, type Compared, type LandedCorrection } from '~~/shared/pieces/versions'

export function useCompared(id: number, overId: number | null) {
  const { data: versions, problem: noVersions } = useApiData(versionListSchema, `/submissions/${id}/versions`)
  /** The one before, unless another was asked for. */
  const older = computed(() => {
    const all = versions.value ?? [],
      own = all.findIndex(v => v.id === id)
    return all.find(v => v.id === overId && v.number <= own) ?? all[own - 1] ?? null
  })
  const compared = shallowRef<Compared | null>(null),
    share = ref(0),
    failed = ref(''),
    lightOut = ref(true)
  const path = (rest: string): string => `/submissions/${id}/over/${older.value!.id}${rest}`
  async function ask(): Promise<void> {
    if (!older.value) return
    failed.value = ''
    try {
      compared.value = await apiTold({ answer: comparedSchema, path: path('') }, told => {
        share.value = Number(told)
      })
    } catch (error) {
      failed.value = messageOf(error)
    }
  }
  watch(older, () => void ask(), { immediate: true })

  const evened = computed(() => lightOut.value && compared.value?.comparison.evened)
  const landedOf = ({ seen, evened: without }: LandedCorrection) => (lightOut.value && without) || seen
  const outcome = computed(() => {
    const comparison = compared.value?.comparison
    return comparison ? (lightOut.value ? believed(comparison) : comparison.seen) : null
  })
  const { act, busy, problem: unsent } = useAct()
  const change = (send: () => Promise<unknown>): Promise<boolean> =>
    act(async () => {
      await send()
      await ask()
    })
  return {
    versions,
    older,
    compared,
    share,
    lightOut,
    evened,
    outcome,
    hidden: computed(() => (compared.value ? hiddenByLight(compared.value.comparison) : [])),
    busy,
    problem: computed(() => noVersions.value || failed.value || unsent.value),
    landedOf,
    /** What holds: the instructor's own word before what was measured. */
    landingOf: (c: LandedCorrection): Landing => c.word ?? landedOf(c).landing,
    say: (correction: number, landing: Landing | null) =>
      change(() => api(z.object({}), path(`/landings/${correction}`), { method: 'PUT', body: { landing } })),
    carry: (corrections: readonly number[]) =>
      change(() => api(z.object({ carried: z.int() }), path('/carry'), { method: 'POST', body: { corrections } })),
    setCorners: (corners: readonly Point[] | null) =>
      change(() => api(z.object({}), path('/corners'), { method: 'PUT', body: { corners } }))
  }
}
export type UsedCompared = ReturnType<typeof useCompared>
export const COMPARED_KEY = Symbol('compared versions') as InjectionKey<UsedCompared>
/** The comparison that this component stands in. */
export const useTheCompared = (): UsedCompared => inject(COMPARED_KEY)!
