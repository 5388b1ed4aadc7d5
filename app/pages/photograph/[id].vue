<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core'
import { z } from 'zod'
import type { PhotoSteps } from '~~/core/photo/steps'
import { photoStepsSayingSchema } from '~~/shared/pieces/photo'
import { submissionSchema } from '~~/shared/pieces/submission'

/** A piece's photograph at the desk: its corners and its white set again, before anything is released. */
definePageMeta({ whose: ['instructor', 'assistant'] })

const id = Number(useRoute().params.id),
  path = `/submissions/${id}`
const { data: piece, problem: noPiece } = useApiData(submissionSchema, path),
  { data: said, problem: noSteps } = useApiData(photoStepsSayingSchema, `${path}/photo/steps`)
useHead({ title: () => `${piece.value?.title ?? 'Photograph'} · Critica` })

const file = shallowRef<File | null>(null),
  steps = shallowRef<PhotoSteps | null>(null),
  picture = shallowRef<Blob | null>(null),
  setting = ref(false),
  unread = ref('')
onMounted(async () => {
  const answer = await fetch(apiAt(`${path}/photo`))
  if (answer.ok) file.value = new File([await answer.blob()], 'photograph')
  else unread.value = 'The photograph cannot be opened.'
})
const shown = useObjectUrl(computed(() => picture.value ?? file.value))
const over = computed(() => said.value?.steps ?? null),
  changed = computed(() => JSON.stringify(steps.value) !== JSON.stringify(over.value))
const { busy, problem, act } = useAct()
const keep = () =>
  act(async () => {
    await api(z.object({}), `${path}/photo/steps`, { method: 'PUT', body: { steps: steps.value, over: over.value } })
    await navigateTo(`/bench/${id}/first-look`)
  })
</script>

<template>
  <div class="photograph">
    <div>
      <div v-show="!setting" class="wall"><img v-if="shown" :src="shown" alt="The picture as it will be" /></div>
      <PhotographedSheet
        v-if="file && said"
        v-model:setting="setting"
        v-model:steps="steps"
        v-model:picture="picture"
        :file="file"
        :begun="over"
      />
    </div>
    <section class="about">
      <h1>{{ piece?.title ?? '…' }}</h1>
      <p class="quiet">
        The photograph that {{ piece?.learner.name ?? 'the learner' }} handed in. It stays as it is: what is set here is
        done to it anew each time.
      </p>
      <p>What is drawn on the picture moves along, and the piece is measured again.</p>
      <p v-if="noPiece || noSteps || unread || problem" role="alert" class="problem">
        {{ noPiece || noSteps || unread || problem }}
      </p>
      <v-btn color="primary" variant="flat" :loading="busy" :disabled="!changed || setting" @click="keep">
        Keep it so
      </v-btn>
      <NuxtLink class="word-link" :to="`/bench/${id}/first-look`">back to the bench</NuxtLink>
    </section>
  </div>
</template>

<style scoped>
.photograph {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 36px;
  padding-top: 24px;
  align-items: start;
}
.wall {
  display: grid;
  place-content: center;
  height: 520px;
  padding: 20px;
  background: var(--wall);
}
img {
  max-width: 100%;
  max-height: 480px;
}
.about {
  display: grid;
  gap: 14px;
  justify-items: start;
}
.problem {
  color: var(--accent);
}
@media (max-width: 900px) {
  .photograph {
    grid-template-columns: 1fr;
  }
}
</style>
