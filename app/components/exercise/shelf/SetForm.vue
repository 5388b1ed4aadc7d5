<script setup lang="ts">
import { addDays, format } from 'date-fns'
import { exerciseOf, type ExerciseKey } from '~~/core/exercise'
import { setInputSchema } from '~~/shared/exercises/assignment'
import { classDetailsSchema, classListSchema } from '~~/shared/class'
import { memberListSchema } from '~~/shared/roster'
import { createdSchema } from '~~/shared/pieces/submission'

/** Setting an exercise: to a class as it stands, or to some of it. */
const props = defineProps<{
  exercise: ExerciseKey
  /** Number of one's own exercise; null for one of the shelf. */
  own: number | null
}>()
const emit = defineEmits<{ set: [] }>()
const { data: all } = useApiData(classListSchema, '/classes')
const classes = computed(() => all.value?.filter(c => c.role === 'instructor' && !c.archived && c.learners > 0) ?? [])
const classId = ref<number | null>(null)
watchEffect(() => {
  classId.value ??= classes.value[0]?.id ?? null
})
const { data: people } = useApiData(memberListSchema, () =>
  classId.value === null ? null : `/classes/${classId.value}/people`
)
const learners = computed(() => people.value?.filter(p => p.role === 'learner').map(p => p.account) ?? [])
const chosen = ref<number[]>([])
watch(learners, now => {
  chosen.value = now.map(l => l.id)
})

const keyed = computed(() => exerciseOf(props.exercise).keyed)
const form = reactive({
  dueOn: format(addDays(new Date(), 14), 'yyyy-MM-dd'),
  note: '',
  tolerance: 'usual' as const,
  medium: 'any' as const,
  key: 'own' as 'own' | 'each' | number
})
const { data: details } = useApiData(classDetailsSchema, () =>
  classId.value === null ? null : `/classes/${classId.value}`
)
const keys = computed(() => [
  { value: 'own', title: 'each chooses' },
  { value: 'each', title: 'a different one each' },
  ...keyChoices(details.value?.wheel ?? 'painter').map(({ value, title }) => ({ value, title: `${title} for all` }))
])
const { wrong, check } = useCheckedForm(setInputSchema, () => ({
    exercise: props.exercise,
    own: props.own,
    ...form,
    learners: chosen.value
  })),
  { problem, busy, act } = useAct(),
  made = ref<number | null>(null)
async function set() {
  const body = check()
  if (!body || classId.value === null) return
  await act(async () => {
    made.value = (await api(createdSchema, `/classes/${classId.value}/exercises`, { method: 'POST', body })).id
    emit('set')
  })
}
const more = ref(false)
</script>

<template>
  <p v-if="made !== null" role="status">
    It is set, and they are told. <NuxtLink :to="`/exercises/sets/${made}`">What comes back hangs here</NuxtLink>.
  </p>
  <form v-else-if="classes.length" class="field-stack" novalidate aria-label="Set it" @submit.prevent="set">
    <v-select
      v-if="classes.length > 1"
      v-model="classId"
      :items="classes"
      item-title="name"
      item-value="id"
      label="Class"
    />
    <v-select
      v-model="chosen"
      :items="learners"
      item-title="name"
      item-value="id"
      multiple
      label="To"
      :error-messages="wrong.learners"
    >
      <template #selection="{ index }">
        <template v-if="index === 0">{{
          chosen.length === learners.length
            ? `all ${countWord(learners.length)} of ${classes.find(c => c.id === classId)?.name}`
            : `${countWord(chosen.length)} of ${countWord(learners.length)}`
        }}</template>
      </template>
    </v-select>
    <v-text-field v-model="form.dueOn" type="date" label="Due on" :error-messages="wrong.dueOn" />
    <v-select v-if="keyed" v-model="form.key" :items="keys" label="Key colour" />
    <template v-if="more">
      <v-select v-model="form.tolerance" :items="TOLERANCE_CHOICES" label="How closely" />
      <v-select v-model="form.medium" :items="MEDIUM_CHOICES" label="Made in" />
      <v-textarea v-model="form.note" label="A word with it" maxlength="500" rows="2" :error-messages="wrong.note" />
    </template>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p class="word-row">
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Set it</v-btn>
      <button v-if="!more" type="button" class="word-link" @click="more = true">
        how closely, made in, a word with it
      </button>
    </p>
  </form>
  <p v-else-if="all" class="quiet">There is no class with learners yet to set it to.</p>
</template>
