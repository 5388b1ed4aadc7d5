<script setup lang="ts">
import { z } from 'zod'
import type { HouseStandards } from '~~/core/critique/standards'
import { standardsSchema } from '~~/shared/standards'
import { SCHOOLS, STANDARD_FIELDS, shownStandard, storedStandard, type StandardField } from '~/utils/standardFields'

/**
 * The house standards of a class: every threshold with its meaning, the schools, and the way back to the shipped ones.
 */
const props = defineProps<{ classId: number; className: string }>()
const emit = defineEmits<{ changed: [] }>()
const open = defineModel<boolean>({ required: true })

const path = `/classes/${props.classId}/standards`
const { data: standards, problem: unread, refresh } = useApiData(standardsSchema, path)
const unsaved = ref(''),
  saved = ref(false),
  /** What is wrong with what was typed, by the standard it was typed at. */
  wrong = shallowRef<Readonly<Record<string, string>>>({})
const problem = computed(() => unsaved.value || unread.value)
/** What is being typed, by the field's title: it stays as it is until it is kept. */
const typed = ref<Readonly<Record<string, string>>>({})
function type({ title }: StandardField, words: string) {
  typed.value = { ...typed.value, [title]: words }
  wrong.value = {}
}
watch(open, () => {
  unsaved.value = ''
  saved.value = false
  wrong.value = typed.value = {}
})
const sheet = useTemplateRef('sheet')
/** What was changed last is kept before the dialog goes: a quick hand closes it at once. */
let keeping: Promise<void> = Promise.resolve()
const keep = (next: HouseStandards | null): Promise<void> => (keeping = put(next))
async function done() {
  await keeping
  if (!unsaved.value && Object.keys(wrong.value).length === 0) open.value = false
  else sheet.value?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
}
async function put(next: HouseStandards | null) {
  const checked = next && standardsSchema.safeParse(next)
  wrong.value = checked && !checked.success ? fieldErrors(checked.error) : {}
  if (checked && !checked.success) return
  try {
    await api(z.object({}), path, { method: 'PUT', body: next })
    emit('changed')
    await refresh()
    typed.value = {}
    unsaved.value = ''
    saved.value = true
  } catch (error) {
    unsaved.value = messageOf(error)
  }
}
/** A standard of two numbers is wrong once. */
const firstOf = (name: string) => STANDARD_FIELDS.find(f => f.name === name)
const set = (part: Partial<HouseStandards>) => keep({ ...standards.value!, ...part })
</script>

<template>
  <v-dialog v-model="open" max-width="620" scrollable aria-labelledby="standards-title">
    <v-card>
      <div ref="sheet" class="dialog-sheet small">
        <h2 id="standards-title">House standards of {{ className }}</h2>
        <p class="quiet-text">Readings follow at once. The numbers measured never change with them.</p>
        <template v-if="standards">
          <fieldset v-for="school in SCHOOLS" :key="school.name">
            <legend>{{ school.title }}</legend>
            <label v-for="[value, words] in school.options" :key="value"
              ><input
                type="radio"
                :name="school.name"
                :value="value"
                :checked="standards[school.name] === value"
                @change="set({ [school.name]: value })"
              />
              {{ words }}</label
            >
          </fieldset>
          <label v-for="f in STANDARD_FIELDS" :key="f.title" class="field">
            <span
              >{{ f.title }}<small>{{ f.meaning }}</small></span
            >
            <input
              type="number"
              :step="f.step"
              :value="typed[f.title] ?? shownStandard(f, standards)"
              :aria-invalid="wrong[f.name] !== undefined"
              @input="type(f, ($event.target as HTMLInputElement).value)"
              @change="set(storedStandard(f, standards, Number(($event.target as HTMLInputElement).value)))"
            />
            <em>{{ f.unit }}</em>
            <strong v-if="wrong[f.name] && f === firstOf(f.name)" role="alert">{{ wrong[f.name] }}</strong>
          </label>
        </template>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <div class="actions">
          <v-btn @click="done">Done</v-btn
          ><button class="word-link" @click="keep(null)">back to the shipped standards</button
          ><span v-if="saved" role="status">saved</span>
        </div>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.small {
  font-size: 13px;
}
.quiet-text {
  color: var(--panel-quiet);
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
legend {
  font-weight: 600;
  padding: 0;
}
input[type='radio'] {
  accent-color: var(--l96);
}
.field {
  display: grid;
  grid-template-columns: 1fr 76px 56px;
  gap: 10px;
  align-items: center;
  border-top: 1px solid var(--l40);
  padding-top: 8px;
}
.field small {
  display: block;
  color: var(--panel-quiet);
  font-size: 12px;
}
.field input {
  background: var(--l20);
  color: inherit;
  border: 1px solid var(--l60);
  padding: 3px 6px;
  font: inherit;
  text-align: right;
  width: 76px;
}
.field strong {
  grid-column: 1 / -1;
  font-weight: 600;
}
em {
  font-style: normal;
  color: var(--panel-quiet);
}
.actions {
  display: flex;
  gap: 18px;
  align-items: center;
}
</style>
