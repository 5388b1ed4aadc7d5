<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { EXERCISES } from '~~/core/exercise'
import { onShelfSchema, type OnShelf, type Shelf } from '~~/shared/pieces/submission'

/** Of a long shelf one learner's pieces, or those for one exercise: asked what there is when it is looked for. */
const props = defineProps<{ shelf: Shelf; classId: number | null }>()
const learner = defineModel<number | null>('learner', { required: true }),
  exercise = defineModel<string | null>('exercise', { required: true })
const found = shallowRef<OnShelf>({ learners: [], exercises: [] }),
  problem = ref('')

async function look(): Promise<void> {
  const asked = new URLSearchParams({
    shelf: props.shelf,
    ...(props.classId === null ? {} : { classId: `${props.classId}` })
  })
  try {
    found.value = await api(onShelfSchema, `/shelves/narrowed?${asked}`)
    problem.value = ''
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(() => [props.shelf, props.classId], look, { immediate: true })

const learners = computed(() =>
  found.value.learners.map(({ id, name, pieces }) => ({ value: id, title: name, props: { subtitle: inAll(pieces) } }))
)
const exercises = computed(() =>
  found.value.exercises.map(({ key, pieces }) => ({
    value: key,
    title: EXERCISES[key].title,
    props: { subtitle: inAll(pieces) }
  }))
)
function inAll(n: number): string {
  return n === 1 ? 'one piece' : `${countWord(n)} pieces`
}
</script>

<template>
  <div class="narrow">
    <v-autocomplete
      v-model="learner"
      :items="learners"
      label="Of one learner"
      no-data-text="Nobody of that name has anything here."
      clearable
      :clear-icon="mdiClose"
      hide-details
    />
    <v-autocomplete
      v-if="shelf === 'exercises'"
      v-model="exercise"
      :items="exercises"
      label="For one exercise"
      no-data-text="Nothing was handed in for one of that name."
      clearable
      :clear-icon="mdiClose"
      hide-details
    />
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.narrow {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  margin-left: auto;
}
.narrow > .v-input {
  width: 210px;
}
</style>
