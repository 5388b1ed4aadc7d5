<script setup lang="ts">
import { hiddenWords, landingsSummary, lightWords, movedWords } from '~~/core/compare/words'

/** Did it land? What became of each correction, what else moved, and what the light did. */
const props = defineProps<{ may: boolean; own: boolean }>()
const { compared, outcome, hidden, landingOf, landedOf, lightOut, carry, say, busy, problem } = useTheCompared()

const corrections = computed(() => compared.value?.corrections ?? [])
const summary = computed(() => landingsSummary(corrections.value.map(landingOf)))
const light = computed(() => lightWords(compared.value?.comparison.light ?? null))
const canEven = computed(() => Boolean(compared.value?.comparison.evened))
const hides = computed(() => hiddenWords(hidden.value))
/** What is asked of it was said already by the corrections. */
const moved = computed(() => {
  const said = new Set(corrections.value.map(c => c.correction.readingId))
  return outcome.value?.moved.filter(m => !said.has(m.id)) ?? []
})
const shown = ref(4)
const open = computed(() => corrections.value.filter(c => landingOf(c) !== 'reached' && !c.carried))
const unsaid = computed(() => corrections.value.filter(c => c.word === null && landedOf(c).landing !== 'cannot-tell'))
async function confirmAll() {
  for (const c of unsaid.value) if (!(await say(c.correction.id, landedOf(c).landing))) return
}
</script>

<template>
  <section v-if="compared" aria-labelledby="landed-title">
    <h2 id="landed-title">Did it land?</h2>
    <p v-if="props.own && !corrections.length" class="words">
      {{
        compared.new.state === 'released'
          ? 'Nothing was marked on the older version.'
          : 'What landed is said here once your instructor has released the critique of the new version.'
      }}
    </p>
    <p v-else class="words">{{ summary }}</p>
    <p v-if="light" class="words">
      {{ light }}{{ canEven ? (lightOut ? '; that is taken out below.' : '; that is left in below.') : '.' }}
      <button v-if="canEven" class="word-link" @click="lightOut = !lightOut">
        {{ lightOut ? 'leave it in' : 'take it out' }}
      </button>
    </p>
    <p v-if="light && lightOut && hides" class="quiet-text">{{ hides }}</p>
    <p v-if="problem" role="alert" class="words">{{ problem }}</p>
    <p v-if="may && corrections.length" class="all">
      <button v-if="open.length" class="word-link" :disabled="busy" @click="carry(open.map(c => c.correction.id))">
        carry over what is still open ({{ open.length }})
      </button>
      <button v-if="unsaid.length" class="word-link" :disabled="busy" @click="confirmAll">
        confirm all as measured
      </button>
    </p>
    <ol>
      <LandedItem v-for="c in corrections" :key="c.correction.id" :landed="c" :may="may" />
    </ol>
    <template v-if="moved.length">
      <h3>what else moved</h3>
      <p v-for="m in moved.slice(0, shown)" :key="m.id" class="words moved">
        {{ movedWords(m) }}
        <span v-if="m.better !== null" class="quiet-text">{{ m.better ? 'For the better.' : 'For the worse.' }}</span>
      </p>
      <button v-if="moved.length > shown" class="word-link" @click="shown = Infinity">
        and {{ moved.length - shown }} more
      </button>
    </template>
    <p v-if="outcome && (corrections.length || moved.length)" class="quiet-text foot">
      Changes smaller than what a new photograph does by itself are not reported.
    </p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 22px;
  margin-bottom: 6px;
}
.words {
  font-family: var(--serif);
  font-size: 17px;
  line-height: 1.35;
}
.words .word-link {
  font-size: 13px;
}
ol {
  list-style: none;
  padding: 0;
  margin-top: 14px;
}
.all {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-top: 8px;
  font-size: 13px;
}
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 400;
  color: var(--panel-quiet);
  margin: 14px 0 2px;
}
.moved {
  font-size: 16px;
  margin-bottom: 6px;
}
.quiet-text {
  color: var(--panel-quiet);
  font-size: 13px;
}
.foot {
  margin-top: 14px;
}
</style>
