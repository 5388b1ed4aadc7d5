<script setup lang="ts">
import { z } from 'zod'
import { exerciseOf, type ExerciseKey } from '~~/core/exercise'
import { checkKind, type CheckKindKey } from '~~/core/exercise/own/kinds'
import { baseFor, BASE_SCHEMES, type OwnCheck } from '~~/core/exercise/own/own'
import { SCHEME_WORDS, type SectorScheme } from '~~/core/wheel/schemes'
import { ownExerciseSchema, type OwnListed } from '~~/shared/exercises/own-exercise'
import { createdSchema } from '~~/shared/pieces/submission'

/** An exercise of one's own: words, a step a line, and checks, each with what passes it and what does not. */
const props = defineProps<{
  exercise: ExerciseKey
  own: OwnListed | null
  /** Begun from nothing, not as a copy. */
  fresh?: boolean
}>()
const emit = defineEmits<{ kept: [id: number | null]; left: [] }>()
const from = exerciseOf(props.exercise),
  begun = props.own?.exercise
/** A copy begins with what of its checks can be built. */
const BUILT: Partial<Readonly<Record<string, CheckKindKey>>> = {
  coverage: 'coverage',
  accent: 'accent',
  each: 'each',
  leads: 'leads',
  range: 'range',
  muted: 'muted',
  black: 'no-black',
  dark: 'dark',
  values: 'value-steps'
}
const copied = from.checks.flatMap(({ id }): OwnCheck[] => {
  const kind = BUILT[id]
  return kind ? [{ kind, bound: checkKind(kind).usual }] : []
})
const ANY: OwnCheck[] = [{ kind: 'range', bound: checkKind('range').usual }]
function beginning() {
  if (begun) return { ...begun, checks: [...begun.checks] }
  if (props.fresh) return { title: '', trains: '', steps: [], checks: ANY }
  return {
    title: `${from.title}, our way`,
    trains: from.trains,
    steps: from.steps,
    checks: copied.length ? copied : ANY
  }
}
const { title, trains, steps, checks } = beginning(),
  form = reactive({ title, trains, steps: steps.join('\n'), checks })
/** A new one may be in a scheme; a copy is in that of what it was copied from. */
const scheme = ref<SectorScheme | null>(null),
  base = computed(() => (props.fresh ? baseFor(scheme.value) : props.exercise))
const schemes = [
  { value: null, title: 'any colours' },
  ...BASE_SCHEMES.map(value => ({ value, title: SCHEME_WORDS[value] }))
]
const written = () => ({
  base: base.value,
  title: form.title,
  trains: form.trains,
  steps: form.steps
    .split('\n')
    .map(s => s.trim())
    .filter(Boolean),
  checks: form.checks
})
const { wrong, check } = useCheckedForm(ownExerciseSchema, written),
  { problem, busy, act } = useAct()
async function keep() {
  const body = check()
  if (!body) return
  let id = props.own?.id ?? null
  const done = await act(async () => {
    if (id === null) id = (await api(createdSchema, '/own-exercises', { method: 'POST', body })).id
    else await api(z.object({}), `/own-exercises/${id}`, { method: 'PUT', body })
  })
  if (done) emit('kept', id)
}
async function drop() {
  if (await act(() => api(z.object({}), `/own-exercises/${props.own!.id}`, { method: 'DELETE' }))) emit('kept', null)
}
</script>

<template>
  <form class="field-stack editor" novalidate aria-label="An exercise of your own" @submit.prevent="keep">
    <v-text-field v-model="form.title" label="Title" maxlength="80" :error-messages="wrong.title" />
    <v-text-field v-model="form.trains" label="What it trains" maxlength="200" :error-messages="wrong.trains" />
    <v-textarea v-model="form.steps" label="How it is done, a step a line" rows="5" :error-messages="wrong.steps" />
    <v-select v-if="fresh" v-model="scheme" :items="schemes" label="In which colours" />
    <OwnChecks :key="base" v-model="form.checks" :base="base" />
    <p v-if="wrong.checks" role="alert">{{ wrong.checks }}</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p class="word-row">
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Keep it</v-btn>
      <button type="button" class="word-link" @click="emit('left')">
        {{ fresh ? 'leave it' : 'leave it as it was' }}
      </button>
      <button v-if="own" type="button" class="word-link" @click="drop">take it off the shelf</button>
    </p>
    <p v-if="own" class="quiet">What was set of it stays as it was set.</p>
  </form>
</template>
