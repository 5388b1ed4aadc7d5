<script setup lang="ts">
import { z } from 'zod'
import { drillOf, type DrillName } from '~~/core/drill/drills'
import { classListSchema } from '~~/shared/class'
import { drillRunSchema, workshopSchema } from '~~/shared/workshop'
import { doubtsOf, useConditions } from '~/workshop/conditions'
import { useDrill } from '~/workshop/useDrill'

/** Drills for the eye: two minutes each, scored by themselves, followed over time. */
definePageMeta({ whose: 'everybody' })
useHead({ title: 'Drills for the eye · Critica' })

const { account } = useSessionStore()
const { data: runs, problem: unread, refresh } = useApiData(z.array(drillRunSchema), '/workshop/drills'),
  { data: workshop } = useApiData(workshopSchema, '/workshop'),
  { data: classes } = useApiData(classListSchema, account && teaches(account) ? '/classes' : null)
const { conditions, looked } = useConditions(),
  without = ref(false)
const name = ref<DrillName>('value'),
  drill = computed(() => drillOf(name.value)),
  setting = ref<string>(drill.value.settings[0]!)
watch(drill, ({ settings }) => (setting.value = settings[0]!))
const settings = computed(() => drill.value.settings.map(s => ({ key: s, label: s })))
function lookAgain() {
  conditions.value = { ...conditions.value, room: null }
  without.value = false
}
const own = computed(() => runs.value?.filter(r => r.drill === name.value) ?? [])
const { chosen, question, answers, last, outcome, problem, busy, begin, leave, answer, keep } = useDrill()
const start = () => begin({ drill: name.value, setting: setting.value, wheel: workshop.value?.wheel ?? 'painter' })
const answered = (given: readonly number[]) => answer(given, conditions.value)
watch(outcome, done => done && refresh())
const taught = computed(() => classes.value?.filter(c => !c.archived && c.role !== 'learner') ?? [])
</script>

<template>
  <div>
    <WorkshopHead />
    <p v-if="unread" role="alert">{{ unread }}</p>
    <div v-if="chosen && question" class="running">
      <div
        class="far"
        role="progressbar"
        :aria-valuenow="answers.length"
        :aria-valuemax="drill.questions"
        aria-label="Questions answered"
      >
        <i :style="{ width: `${(100 * answers.length) / drill.questions}%` }" />
      </div>
      <QuestionField :question="question" @answer="answered" />
      <p class="row">
        <span role="status">{{ last === null ? '' : last ? 'Right.' : 'No: that one was not it.' }}</span>
        <button class="word-link" @click="leave">leave it</button>
      </p>
    </div>
    <div v-else class="two">
      <section aria-label="Drills">
        <DrillList v-model="name" :runs="runs ?? []" />
        <p class="quiet small">Two minutes each. What you reach is yours and your instructors’.</p>
      </section>
      <section class="hand">
        <template v-if="!looked && !without">
          <DisplayCheck v-model="conditions" />
          <p><button class="word-link" @click="without = true">go on without looking</button></p>
        </template>
        <template v-else>
          <h2>{{ drill.title }}</h2>
          <p v-if="outcome && outcome.drill === name" class="words" role="status">
            {{ outcome.threshold.toFixed(1) }} {{ drill.unit }} {{ drill.means }}. It lies between
            {{ outcome.low.toFixed(1) }} and {{ outcome.high.toFixed(1) }} with 95 of 100.
          </p>
          <p v-else class="words">
            {{ drill.questions }} questions, harder the more you get right. It ends with the smallest difference that
            you see, in {{ drill.unit }}.
          </p>
          <WordChoice v-if="settings.length > 1" v-model="setting" label="How" :choices="settings" />
          <p v-if="problem" role="alert">
            {{ problem }} <button class="word-link" :disabled="busy" @click="keep(conditions)">keep it again</button>
          </p>
          <p>
            <v-btn color="primary" variant="flat" @click="start">{{ own.length ? 'Once more' : 'Begin' }}</v-btn>
          </p>
          <p v-for="doubt in doubtsOf(conditions)" :key="doubt" class="quiet">{{ doubt }}</p>
          <DrillRuns :drill="drill" :runs="own" />
          <p>
            <button class="word-link" @click="lookAgain">look at the screen again</button>
          </p>
        </template>
      </section>
    </div>
    <template v-if="!question">
      <ClassDrills v-for="c in taught" :key="c.id" :class-id="c.id" :name="c.name" />
    </template>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 270px minmax(0, 1fr);
  gap: 44px;
  padding-top: 12px;
}
.hand {
  display: grid;
  gap: 14px;
  align-content: start;
  max-width: 760px;
}
/* As large as the window lets it be seen whole. */
.running {
  max-width: min(1000px, calc((100vh - 270px) * 16 / 9));
  margin: 0 auto;
  display: grid;
  gap: 12px;
  padding-top: 14px;
}
.far {
  height: 3px;
  background: var(--line);
}
.far i {
  display: block;
  height: 100%;
  background: var(--l30);
}
.row {
  display: flex;
  justify-content: space-between;
}
.small {
  font-size: 13px;
}
@media (max-width: 640px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
    gap: 16px;
  }
}
</style>
