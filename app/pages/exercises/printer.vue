<script setup lang="ts">
import { z } from 'zod'
import { knownPrinterSchema } from '~~/shared/exercises/worksheet'

/** One's own printer, known once by its greys, so that the sheets it prints are read by them. */
definePageMeta({ whose: 'everybody' })
useHead({ title: 'Your printer · Critica' })
const answer = z.object({ printer: knownPrinterSchema.nullable() })
const { data, refresh, problem: unread } = useApiData(answer, '/printer')
const known = computed(() => data.value?.printer ?? null)
const file = ref<File | null>(null)
const { problem, busy, act } = useAct()
watch(file, async chosen => {
  if (!chosen) return
  const body = new FormData()
  body.append('picture', chosen)
  const learnt = await act(() => api(answer, '/printer', { method: 'POST', body }))
  file.value = null
  if (learnt) await refresh()
})
async function forget() {
  if (await act(() => api(z.object({}), '/printer', { method: 'DELETE' }))) await refresh()
}
/** By how far one tells two greys apart: under 2 nobody does, beyond 6 anybody. */
const how = computed(() => {
  const { off } = known.value!
  return off < 2
    ? 'Its greys are as they are to be.'
    : off < 6
      ? 'Its greys are a little off; they are allowed for.'
      : 'Its greys are well off what they are to be; they are allowed for.'
})
</script>

<template>
  <div class="printer">
    <header>
      <NuxtLink to="/exercises" class="quiet">Exercises</NuxtLink>
      <h1>Your printer</h1>
      <p class="words">
        A filled worksheet is read by the greys printed on it. A printer that prints them too dark, or not grey, makes
        every colour less sure. Show it once, and what it does is taken out.
      </p>
    </header>
    <p v-if="unread" role="alert">{{ unread }}</p>
    <section v-if="known" aria-label="What is known">
      <p class="words">Known since {{ dayWords(known.measuredAt) }}. {{ how }}</p>
      <p class="quiet">
        Worksheets that you print are read by it; those that were read before stay as they are.
        <button class="word-link" @click="forget">forget it</button>
      </p>
    </section>
    <ol class="words">
      <li>
        Print <a class="word-link" :href="apiAt('/printer/pages')" target="_blank">both pages</a> (<a
          class="word-link"
          :href="apiAt('/printer/pages?paper=letter')"
          target="_blank"
          >on Letter</a
        >): the first by a good printer, such as a copy shop’s; the second by your own, as you always print.
      </li>
      <li>Lay them side by side in even light. Photograph both at once, without a flash.</li>
      <li>Bring the photograph. It is read, and not kept.</li>
    </ol>
    <v-file-input
      v-model="file"
      label="Photograph of both pages"
      accept="image/png,image/jpeg,image/webp,image/tiff"
      class="file"
      :loading="busy"
    />
    <p v-if="busy" role="status">Being read …</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.printer {
  display: grid;
  gap: 18px;
  padding-top: 20px;
  max-width: 640px;
}
ol {
  display: grid;
  gap: 8px;
  padding-left: 20px;
}
.file {
  max-width: 420px;
}
</style>
