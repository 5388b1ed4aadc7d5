<script setup lang="ts">
import type { Letter } from '~~/shared/letter'
import { STAGE_WORDS, stageSchema, type Stage } from '~~/shared/pieces/submission'
import LetterPicture from './LetterPicture.vue'

/** One mail: whose it is, what it asks, and its pictures, each to be taken or left out. */
const props = defineProps<{ letter: Letter; /** It is said that nothing proves whose it is. */ doubted: boolean }>()
const emit = defineEmits<{ decided: [title: string, submissionId: number | null] }>()
const stages = stageSchema.options.map(value => ({ value, title: STAGE_WORDS[value] }))
const shared = reactive({
  classId: props.letter.classes[0]!.id,
  question: props.letter.question,
  stage: 'finished' as Stage
})
const several = props.letter.pictures.length > 1
const titles = reactive(
  Object.fromEntries(
    props.letter.pictures.map((p, i) => [p.id, [props.letter.title, several ? i + 1 : ''].filter(Boolean).join(' ')])
  )
)
const pictures = useTemplateRef<InstanceType<typeof LetterPicture>[]>('pictures')
const taking = ref(false)
/** One after the other, in the order of the mail. */
async function takeAll() {
  taking.value = true
  for (const picture of [...(pictures.value ?? [])]) if (!(await picture.take())) break
  taking.value = false
}
const all = ref(false)
</script>

<template>
  <article>
    <header>
      <h2>{{ letter.from.name }}</h2>
      <p class="quiet">
        {{ capital(waitedWords(letter.receivedAt)) }} ago, from {{ letter.from.address
        }}{{ doubted ? '. Nothing proves that it is: look whether it can be theirs' : '' }}.
      </p>
    </header>
    <div class="words-of">
      <v-textarea
        v-model="shared.question"
        label="Question"
        maxlength="500"
        rows="1"
        auto-grow
        density="compact"
        hide-details
      />
      <v-select v-model="shared.stage" :items="stages" label="Stage" density="compact" hide-details />
      <v-select
        v-if="letter.classes.length > 1"
        v-model="shared.classId"
        :items="letter.classes"
        item-title="name"
        item-value="id"
        label="Class"
        density="compact"
        hide-details
      />
    </div>
    <template v-if="letter.body">
      <button v-if="!all" type="button" class="word-link" @click="all = true">all that they wrote</button>
      <p v-else class="words all">{{ letter.body }}</p>
    </template>
    <ul class="pictures">
      <LetterPicture
        v-for="p in letter.pictures"
        :key="p.id"
        ref="pictures"
        v-model="titles[p.id]!"
        :picture="p"
        :shared="shared"
        @decided="(title, id) => emit('decided', title, id)"
      />
    </ul>
    <div class="word-row">
      <button v-if="letter.pictures.length > 1" type="button" class="word-link" :disabled="taking" @click="takeAll">
        take {{ letter.pictures.length === 2 ? 'both' : `all ${countWord(letter.pictures.length)}` }}
      </button>
      <p v-if="letter.leftOut.length" class="quiet">
        Left out: {{ letter.leftOut.map(l => `${l.name} ${l.why.replace(/\.$/, '')}`).join('; ') }}.
      </p>
    </div>
  </article>
</template>

<style scoped>
article {
  display: grid;
  gap: 12px;
  padding: 16px 0 22px;
  border-top: 1px solid var(--line);
  justify-items: start;
}
.words-of {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 190px;
  gap: 12px;
  width: 100%;
}
.pictures {
  list-style: none;
  padding: 0;
  width: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 18px;
}
.all {
  white-space: pre-line;
}
@media (max-width: 600px) {
  .words-of {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
