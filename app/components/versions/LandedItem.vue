<script setup lang="ts">
import { LANDINGS, type Landing } from '~~/core/compare/verdict'
import { landedWords, LANDING_WORDS, markedWords } from '~~/core/compare/words'
import { tagOf } from '~~/core/critique/stations/table'
import type { LandedCorrection } from '~~/shared/pieces/versions'

/** One correction of the older version: both patches, what became of it, and the instructor's word. */
const props = defineProps<{ landed: LandedCorrection; /** The instructor may say so. */ may: boolean }>()
const { landedOf, landingOf, say, carry, busy } = useTheCompared()
const its = computed(() => landedOf(props.landed)),
  landing = computed(() => landingOf(props.landed)),
  correction = computed(() => props.landed.correction)
/** Without a target nothing is measured: it is the eye's to say. */
const byEye = computed(() => !correction.value.target && !props.landed.word)
const overruling = ref(false)
const choices = [
  ...LANDINGS.filter(l => l !== 'cannot-tell').map(key => ({ key: key as string, label: LANDING_WORDS[key] })),
  { key: 'measured', label: 'as measured' }
]
const word = computed({
  get: (): string | null => props.landed.word,
  set: key => {
    overruling.value = false
    void say(correction.value.id, key === 'measured' ? null : (key as Landing))
  }
})
const again = computed(() => markedWords(correction.value.marked + 1))
</script>

<template>
  <li class="landed" :data-landing="landing">
    <PatchPair :area="correction.area" :label="`${tagOf(correction)} before and after`" />
    <div>
      <p class="said">
        <b class="mark" :class="landing">{{ byEye ? 'by eye' : LANDING_WORDS[landing] }}</b> {{ tagOf(correction) }}
        {{ correction.what }}
        <span class="figures">{{ landedWords(correction.target, its) }}</span>
      </p>
      <p v-if="landed.word && correction.target && landed.word !== its.landing" class="quiet-text">
        Measured: {{ LANDING_WORDS[its.landing] }}.
      </p>
      <p v-if="may" class="acts">
        <template v-if="landed.word">
          <span class="quiet-text">yours:</span>
          <button class="word-link" :disabled="busy" @click="overruling = !overruling">
            {{ LANDING_WORDS[landed.word] }}
          </button>
        </template>
        <template v-else>
          <button
            v-if="its.landing !== 'cannot-tell'"
            class="word-link"
            :disabled="busy"
            @click="say(correction.id, its.landing)"
          >
            confirm
          </button>
          <button class="word-link" :disabled="busy" @click="overruling = !overruling">
            {{ its.landing === 'cannot-tell' ? 'say it' : 'overrule' }}
          </button>
        </template>
        <template v-if="landing !== 'reached'">
          <span v-if="landed.carried" class="quiet-text">{{ again }}, in the new critique</span>
          <button v-else class="word-link" :disabled="busy" @click="carry([correction.id])">carry over</button>
        </template>
      </p>
      <WordChoice v-if="overruling" v-model="word" label="Your word" class="words-of" :choices="choices" />
    </div>
  </li>
</template>

<style scoped>
.landed {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 12px;
  padding: 12px 0;
  border-top: 1px solid var(--panel-line);
}
.said {
  font-family: var(--serif);
  font-size: 16px;
  line-height: 1.32;
}
.mark {
  font-family: var(--sans);
  font-size: 12px;
  border: 1px solid var(--l96);
  padding: 0 5px;
  margin-right: 3px;
}
.mark.reached {
  background: var(--l96);
  color: var(--l20);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  font-size: 13px;
  margin-top: 2px;
}
.quiet-text {
  color: var(--panel-quiet);
  font-size: 13px;
}
.words-of {
  color: var(--panel-quiet);
  font-size: 13px;
  margin-top: 4px;
}
.words-of :deep(.chosen) {
  color: var(--panel-ink);
  border-color: var(--panel-ink);
}
</style>
