<script setup lang="ts">
import { checksOf, exerciseSet } from '~~/core/exercise'
import { studyListSchema, studySchema, type Assignment } from '~~/shared/exercises/assignment'

/** Work in progress held against the checks. Only its learner sees it; it is kept as a study. */
const props = defineProps<{ assignment: Assignment }>()
const emit = defineEmits<{ checked: [] }>()
const path = `/assignments/${props.assignment.id}/studies`
const { data: studies, refresh } = useApiData(studyListSchema, path)
const file = ref<File | null>(null),
  reference = ref<File | null>(null)
const { problem, busy, act } = useAct()
const checks = computed(() => checksOf(props.assignment, props.assignment.settings, props.assignment.plan !== null))
const needsReference = computed(() => exerciseSet(props.assignment).needs === 'reference')
/** The check that is shown on the newest study. */
const shown = ref<string | null>(null)
const pictureOf = (id: number, newest: boolean): string =>
  newest && shown.value ? apiAt(`${path}/${id}/evidence/${shown.value}`) : apiAt(`${path}/${id}/picture`)
watch(file, async chosen => {
  if (chosen && !needsReference.value) await check()
})
async function check() {
  if (!file.value) return
  const body = new FormData()
  body.append('picture', file.value)
  if (reference.value) body.append('reference', reference.value)
  const kept = await act(() => api(studySchema, path, { method: 'POST', body }))
  if (!kept) return
  file.value = null
  shown.value = null
  await refresh()
  emit('checked')
}
</script>

<template>
  <div class="check">
    <p class="quiet">Nobody else sees it. It is kept as a study, and counts as one.</p>
    <v-file-input
      v-if="needsReference"
      v-model="reference"
      label="What it is made from"
      accept="image/png,image/jpeg,image/webp,image/tiff"
    />
    <v-file-input
      v-model="file"
      label="Your work as it is now"
      accept="image/png,image/jpeg,image/webp,image/tiff"
      :loading="busy"
    />
    <v-btn v-if="needsReference" :disabled="!file || !reference" :loading="busy" @click="check">Check it</v-btn>
    <p v-if="busy" role="status">Being measured …</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ol v-if="studies?.length" class="studies">
      <li v-for="(study, i) in studies" :key="study.id" :class="{ newest: i === 0 }">
        <img :src="pictureOf(study.id, i === 0)" :alt="`Study ${studies.length - i}`" loading="lazy" />
        <CheckList
          v-if="i === 0"
          v-model:shown="shown"
          :checks="checks"
          :settings="assignment.settings"
          :results="study.checks"
          shows
        />
        <span v-else class="quiet"
          >{{ study.checks.filter(c => c.passed).length }} of {{ study.checks.length }} reached ·
          {{ dayWords(study.checkedAt) }}</span
        >
      </li>
    </ol>
  </div>
</template>

<style scoped>
.check {
  display: grid;
  gap: 10px;
  width: 100%;
}
.studies {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 14px;
}
.studies li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 14px;
  align-items: start;
}
.studies .newest {
  grid-template-columns: minmax(0, 1fr);
}
img {
  width: 100%;
}
</style>
