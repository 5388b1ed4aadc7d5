<script setup lang="ts">
import { z } from 'zod'
import { letterAnswerSchema, type LetterPicture } from '~~/shared/letter'
import type { Stage } from '~~/shared/pieces/submission'

/** One picture that came by mail: taken as a piece under its title, or left out with a word. */
const props = defineProps<{
  picture: LetterPicture
  /** What it shares with the others of its mail. */ shared: {
    readonly classId: number
    readonly question: string
    readonly stage: Stage
  }
}>()
const title = defineModel<string>({ required: true })
const emit = defineEmits<{ decided: [title: string, submissionId: number | null] }>()
const { problem, busy, act } = useAct()
const { wrong, check } = useCheckedForm(letterAnswerSchema, () => ({ take: true, ...props.shared, title: title.value }))
const leaving = ref(false),
  word = ref('')
const send = (body: object) =>
  act(async () => {
    const { submissionId } = await api(
      z.object({ submissionId: z.int().nullable() }),
      `/inbox/pictures/${props.picture.id}`,
      { method: 'PUT', body }
    )
    emit('decided', title.value, submissionId)
  })
async function take(): Promise<boolean> {
  const body = check()
  return body ? send(body) : false
}
defineExpose({ take })
</script>

<template>
  <li>
    <img
      :src="apiAt(`/inbox/pictures/${picture.id}/thumb`)"
      :alt="picture.name"
      :width="picture.width"
      :height="picture.height"
    />
    <v-text-field
      v-model="title"
      label="Title"
      maxlength="120"
      density="compact"
      hide-details="auto"
      :error-messages="wrong.title || wrong.question || wrong.classId"
    />
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
    <div v-if="leaving" class="field-stack">
      <v-text-field
        v-model="word"
        label="A word to them, why"
        maxlength="500"
        density="compact"
        hide-details
        autofocus
        @keydown.enter="send({ take: false, word })"
      />
      <span class="word-row">
        <button type="button" class="word-link" :disabled="busy" @click="send({ take: false, word })">
          leave it out
        </button>
        <button type="button" class="word-link" @click="leaving = false">keep it</button>
      </span>
    </div>
    <div v-else class="word-row">
      <v-btn color="primary" variant="flat" :loading="busy" @click="take">Take it</v-btn>
      <button type="button" class="word-link" @click="leaving = true">not this one</button>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  gap: 8px;
  align-content: start;
}
img {
  width: 100%;
  height: auto;
  max-height: 300px;
  object-fit: contain;
  background: var(--wall);
}
.problem {
  color: var(--accent);
}
</style>
