<script setup lang="ts">
import { readInSchema } from '~~/shared/pieces/annotation'
import { EXPORTS, MADE_EXPORTS } from '~~/shared/pieces/export'

/** A piece in open formats: some at once, some made first, with how far it is and a way to call it off. */
const props = defineProps<{ submissionId: number; /** Annotations may be read in here. */ editable?: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const { job, problem, begin, callOff } = useExportJob(props.submissionId)
const chooser = ref<HTMLInputElement>(),
  read = ref('')
async function readIn(event: Event) {
  const input = event.target as HTMLInputElement,
    file = input.files?.[0]
  read.value = problem.value = ''
  if (!file) return
  try {
    const { added, renewed } = await api(readInSchema, `/submissions/${props.submissionId}/annotations`, {
      method: 'POST',
      body: JSON.parse(await file.text())
    })
    read.value = `Read in: ${countWord(added)} new, ${countWord(renewed)} renewed.`
    emit('changed')
  } catch (error) {
    problem.value =
      error instanceof SyntaxError
        ? 'This file is not JSON, so it holds no annotations. Nothing was read in.'
        : messageOf(error)
  }
  input.value = ''
}
const called = computed(() => (job.value ? MADE_EXPORTS[job.value.name].words : ''))
</script>

<template>
  <section class="away" aria-label="Take away">
    <p class="row">
      <span>Take away:</span>
      <button
        v-for="({ words }, name) in MADE_EXPORTS"
        :key="name"
        class="word-link"
        :disabled="job !== null"
        @click="begin(name)"
      >
        {{ words }}
      </button>
      <a
        v-for="({ words }, name) in EXPORTS"
        :key="name"
        class="word-link"
        :href="apiAt(`/submissions/${submissionId}/export/${name}`)"
        download
        >{{ words }}</a
      >
    </p>
    <p v-if="editable" class="row">
      <button class="word-link" @click="chooser!.click()">read annotations in</button
      ><input
        ref="chooser"
        type="file"
        accept=".json,.jsonld,application/ld+json,application/json"
        hidden
        aria-label="Annotations to read in"
        @change="readIn"
      /><span v-if="read" role="status">{{ read }}</span>
    </p>
    <p v-if="job" class="row" role="status">
      <progress :value="job.share" max="1" :aria-label="`Making the ${called}`" /> making the {{ called }} …
      <button class="word-link" @click="callOff">call it off</button>
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.away {
  display: grid;
  gap: 6px;
  font-size: 13px;
  opacity: 0.92;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
</style>
