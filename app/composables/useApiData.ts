/** What a page reads from the server: the framework's own asynchronous data around the one checked way to ask. */
import type { z } from 'zod'

/**
 * Asked at once, and again when the path changes.
 * @param path null while there is nothing to ask.
 * @returns `data` null until it is there, and kept when asking again fails; `problem` the sentence of what went wrong
 * last, empty otherwise; `ready` once there is an answer of either kind; `refresh` asks again.
 */
export function useApiData<T>(schema: z.ZodType<T>, path: MaybeRefOrGetter<string | null>) {
  const asked = computed(() => toValue(path))
  let last: { readonly path: string; readonly data: T } | null = null
  const { data, error, status, refresh } = useAsyncData<T | null>(
    () => `api:${asked.value}`,
    async () => {
      if (asked.value === null) return null
      const found = await api(schema, asked.value)
      last = { path: asked.value, data: found }
      return found
    },
    // Shown as it comes: no page waits for its data before it is there.
    { lazy: true, deep: false, default: () => null }
  )
  return {
    data: computed<T | null>(() => (data.value as T | null) ?? (last && last.path === asked.value ? last.data : null)),
    problem: computed(() => (error.value ? messageOf(error.value) : '')),
    ready: computed(() => status.value === 'success' || status.value === 'error'),
    refresh: (): Promise<void> => refresh()
  }
}
