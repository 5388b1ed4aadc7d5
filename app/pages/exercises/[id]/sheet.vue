<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import { assignmentSchema } from '~~/shared/exercises/assignment'
import {
  keptSheetListSchema,
  sheetsTakenSchema,
  sheetsToldSchema,
  type SheetsTaken,
  type SheetsTold
} from '~~/shared/exercises/worksheet'

/** Filled worksheets of an exercise: photographed, read box by box, disputed, confirmed. */
definePageMeta({ whose: 'everybody' })

const id = Number(useRoute().params.id)
const session = useSessionStore()
const { data: assignment, problem: unread } = useApiData(assignmentSchema, `/assignments/${id}`)
const { data: sheets, refresh } = useApiData(keptSheetListSchema, `/assignments/${id}/sheets`)
useHead({ title: 'Worksheet · Critica' })
const own = computed(() => assignment.value?.learner.id === session.person.id)
const file = ref<File | null>(null),
  byHand = ref<{ x: number; y: number }[]>([]),
  setting = ref(false)
const { problem, busy, act } = useAct()
/** How far the reading is; null while the file is still on its way. */
const at = ref<SheetsTold | null>(null)
const taken = ref<SheetsTaken>([])
const elsewhere = computed(() => taken.value.filter(t => t.kind === 'refused' || t.assignmentId !== id))
async function read() {
  if (!file.value) return
  const body = new FormData()
  body.append('picture', file.value)
  if (byHand.value.length === 4) body.append('corners', JSON.stringify(byHand.value))
  at.value = null
  taken.value = []
  const done = await act(async () => {
    taken.value = await apiTold({ answer: sheetsTakenSchema, path: '/sheets', body }, told => {
      at.value = sheetsToldSchema.parse(told)
    })
  })
  if (!done) {
    // A page of a scan cannot be pointed at here.
    setting.value = file.value.type !== 'application/pdf'
    return
  }
  file.value = null
  setting.value = false
  byHand.value = []
  await refresh()
}
watch(file, chosen => {
  if (chosen) void read()
})
const howFar = computed(() => {
  if (!at.value) return 'On its way …'
  const { page } = at.value
  return page ? `Page ${page.page} of ${page.of} is being read …` : 'Being read …'
})
const tell = (t: SheetsTaken[number]): string =>
  t.kind === 'refused' ? t.reason : `${t.learner}’s sheet: ${t.right} of ${t.of} right.`
</script>

<template>
  <p v-if="unread && !assignment" role="alert" class="alone">{{ unread }}</p>
  <div v-else-if="assignment" class="sheets">
    <header>
      <NuxtLink :to="`/exercises/${id}`" class="quiet">{{ exerciseSet(assignment).title }}</NuxtLink>
      <h1>Worksheet</h1>
      <p class="quiet">
        Lay it flat in even light, without a flash. All four corner marks must be in the photograph; it may hold several
        sheets. A scan may be a PDF of many pages. A poor printer can be
        <NuxtLink to="/exercises/printer" class="word-link">calibrated</NuxtLink> once.
      </p>
    </header>
    <v-file-input
      v-model="file"
      label="Photograph or scan of the filled sheet"
      accept="image/png,image/jpeg,image/webp,image/tiff,application/pdf"
      class="file"
      :loading="busy"
    />
    <p v-if="busy" class="far" role="status">
      <progress :value="at?.share ?? 0" max="1" aria-label="How far the reading is" /> {{ howFar }}
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <template v-if="setting && file && !busy">
      <LazyCornersByHand v-model="byHand" :file="file" />
      <v-btn :disabled="byHand.length !== 4" @click="read">Read it by these corners</v-btn>
    </template>
    <p v-for="t in elsewhere" :key="tell(t)" :role="t.kind === 'refused' ? 'alert' : 'status'">{{ tell(t) }}</p>
    <LazyReadSheet
      v-for="kept in sheets"
      :key="kept.id"
      :kept="kept"
      :assignment="assignment"
      :own="own"
      @changed="refresh"
    />
    <p v-if="sheets?.length === 0 && !busy" class="quiet">None was read yet.</p>
  </div>
</template>

<style scoped>
.sheets {
  display: grid;
  gap: 14px;
  padding-top: 20px;
}
.file {
  max-width: 420px;
}
.alone {
  padding-top: 24px;
}
</style>
