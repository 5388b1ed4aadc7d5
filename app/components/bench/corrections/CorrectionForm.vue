<script setup lang="ts">
import { whenever } from '@vueuse/core'
import { describeTarget, unitOf, type Target } from '~~/core/critique/target'
import { readIn, shownIn } from '~~/core/critique/unit'
import { targetChoices } from '~~/core/critique/target-choices'
import { isMeasured } from '~~/core/measure/report'
import { isSectorScheme } from '~~/core/wheel/schemes'
import type { Phrase } from '~~/shared/phrase'
import { correctionInputSchema, type CorrectionWritten } from '~~/shared/critique'
import type { Marked } from '~/composables/useDrawFor'
import type { AreaTool, MarkTool } from '~/stores/pencil'
import { keptCorrection } from '~/utils/keptCorrection'

/** A correction being written: filled in from its reading, all of it the instructor's to change. */
const props = defineProps<{ modelValue: CorrectionWritten; id?: number }>()
const emit = defineEmits<{ done: [] }>()
const bench = useBenchStore(),
  inHand = useInHandStore(),
  edits = useEditsStore(),
  { drawMarked } = useDrawFor()

/** As it was when it was opened to be changed. */
const opened = props.id ? bench.critique.corrections.find(c => c.id === props.id) : undefined
const kept = keptCorrection(useSessionStore().person.id, bench.piece.id, props.id)
/** A change left behind is taken up; a new one is what was just marked. */
const begun = (opened && kept.since(opened)?.input) ?? props.modelValue
const form = reactive<CorrectionWritten>({
  ...begun,
  area: begun.area && markRaw(begun.area),
  mark: begun.mark && markRaw(begun.mark)
})
watch(form, () => kept.keep({ input: toRaw(form), over: opened ?? null }), { immediate: !opened })
// Dropped by its key, and not left with its piece.
onBeforeUnmount(() => {
  if (!opened && !inHand.correction) kept.drop()
})
function end() {
  kept.drop()
  emit('done')
}
/** Marked elsewhere, it is also measured there. */
const MARKS: readonly (readonly [AreaTool | MarkTool, string])[] = [
  ['lasso', 'area by hand'],
  ['rectangle', 'box'],
  ['point', 'point'],
  ['stroke', 'stroke'],
  ['arrow', 'arrow']
]
const markedAs = computed(() => form.mark?.kind ?? (form.area ? 'area' : 'the whole picture'))
function place(marked: Marked) {
  Object.assign(form, marked)
  if (!props.id) inHand.correction = { ...inHand.correction!, ...marked }
}
async function markAs(tool: AreaTool | MarkTool) {
  const marked = await drawMarked(tool)
  if (marked) place(marked)
}
const shelf = ref(false)
/** A phrase takes an empty field, and follows what is already there. */
function take({ field, words }: Phrase) {
  form[field] = [form[field], words].filter(Boolean).join(' ')
}
/** A correction made by hand may be given any target that can be measured where it is marked. */
const aims = computed(() => {
  const found = bench.report && isMeasured(bench.report.harmony) ? bench.report.harmony.scheme.name : null
  const scheme = bench.piece.plannedScheme ?? (found && isSectorScheme(found) ? found : null)
  return targetChoices(form.area !== null, scheme, bench.standards).map(target => ({
    title: describeTarget(target),
    value: target
  }))
})
function aim(target: Target | null) {
  form.target = target
  hasTarget.value = target !== null
}
watch(() => edits.theirs, end)
const hasTarget = ref(form.target !== null)
/** The target's number, in the unit it is spoken in: shares as percent. */
const bound = computed({
  get: () => {
    const t = form.target
    if (!t) return 0
    const raw = 'atLeast' in t ? t.atLeast : t.atMost
    return shownIn(unitOf(t), raw)
  },
  set: (shown: number) => {
    const t = form.target
    if (!t || !Number.isFinite(Number(shown))) return
    const raw = readIn(unitOf(t), Number(shown))
    form.target = ('atLeast' in t ? { ...t, atLeast: raw } : { ...t, atMost: raw }) as typeof t
  }
})

/** Taken as soon as it is there: once it is seen would be too late for a hand that has gone on to the next field. */
const first = useTemplateRef<{ focus: () => void }>('first')
whenever(first, field => field.focus(), { once: true })
const saving = ref(false)
const { wrong, check } = useCheckedForm(correctionInputSchema, () => form)
async function save() {
  if (saving.value) return
  if (!check()) return
  saving.value = true
  const input = { ...toRaw(form), target: hasTarget.value ? toRaw(form).target : null }
  const done = props.id ? await edits.changeCorrection(props.id, input, opened) : await edits.addCorrection(input)
  saving.value = false
  if (done) end()
}
</script>

<template>
  <form class="form" aria-label="Correction" @submit.prevent="save" @keydown.esc="end">
    <InTurn>
      <v-textarea ref="first" v-model="form.what" label="What is wrong" :error-messages="wrong.what" />
      <v-textarea v-model="form.reason" label="Why, as read" :error-messages="wrong.reason" />
      <v-textarea v-model="form.todo" label="What to do" :error-messages="wrong.todo" />
      <button type="button" class="word-link shelved" :aria-expanded="shelf" @click="shelf = !shelf">
        from your phrases
      </button>
      <LazyPhraseShelf v-if="shelf" :station="form.station" @take="take" />
      <v-select
        v-if="!form.target"
        :model-value="null"
        :items="aims"
        label="A target to measure, if you like"
        @update:model-value="aim"
      />
      <div v-if="form.target" class="target">
        <v-checkbox v-model="hasTarget" :label="`Target: ${describeTarget(form.target)}`" />
        <v-text-field v-if="hasTarget" v-model.number="bound" type="number" label="Bound" class="bound" />
      </div>
      <p v-if="edits.problem" role="alert">{{ edits.problem }}</p>
      <p class="marks">
        Marks {{ markedAs }}; instead
        <button v-for="[tool, words] in MARKS" :key="tool" type="button" class="word-link" @click="markAs(tool)">
          {{ words }}
        </button>
        <button v-if="form.area" type="button" class="word-link" @click="place({ mark: null, area: null })">
          the whole picture
        </button>
      </p>
      <div class="actions">
        <v-btn type="submit" :disabled="saving" variant="flat" color="primary" size="small">{{
          id ? 'Save' : 'Mark it'
        }}</v-btn>
        <button type="button" class="word-link" @click="end">leave it</button>
      </div>
    </InTurn>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.marks {
  font-size: 13px;
  color: var(--panel-quiet);
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
}
.shelved {
  justify-self: start;
}
.target {
  display: grid;
  grid-template-columns: 1fr 84px;
  gap: 8px;
  align-items: center;
}
.actions {
  display: flex;
  gap: 16px;
  align-items: baseline;
}
</style>
