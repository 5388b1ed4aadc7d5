<script setup lang="ts">
import { exerciseSet } from '~~/core/exercise'
import type { Assignment } from '~~/shared/exercises/assignment'
import { classListSchema } from '~~/shared/class'

/** What was set and is not done with: to a class in one line, with a critique by name. */
const props = defineProps<{ exercises: readonly Assignment[] }>()
const { data: classes } = useApiData(classListSchema, '/classes')
const nameOf = (id: number): string => classes.value?.find(c => c.id === id)?.name ?? ''
const taught = computed(() => classes.value?.filter(c => c.role === 'instructor' || c.role === 'assistant') ?? [])

interface Line {
  readonly to: string
  readonly title: string
  readonly whom: string
  readonly dueOn: string
  readonly state: string
  readonly waits: number
}
const lines = computed<Line[]>(() => {
  const sets = new Map<number, Assignment[]>()
  for (const a of props.exercises) if (a.setId !== null) sets.set(a.setId, [...(sets.get(a.setId) ?? []), a])
  const waits = (all: readonly Assignment[]): number =>
    all.filter(a => a.handIn && !a.confirmedAt && !a.returnedAt).length
  const ofSets = [...sets].map(([id, all]) => ({
    to: `/exercises/sets/${id}`,
    title: exerciseSet(all[0]!).title,
    whom: nameOf(all[0]!.classId),
    dueOn: all
      .map(a => a.dueOn)
      .sort()
      .at(-1)!,
    state:
      `${all.filter(a => a.handIn).length} of ${all.length} handed in,`
      + ` ${all.filter(a => a.confirmedAt).length} confirmed`,
    waits: waits(all)
  }))
  const alone = props.exercises
    .filter(a => a.setId === null)
    .map(a => ({
      to: `/exercises/${a.id}`,
      title: exerciseSet(a).title,
      whom: a.learner.name,
      dueOn: a.dueOn,
      state: exerciseState(a),
      waits: waits([a])
    }))
  return [...ofSets, ...alone].sort((p, q) => q.waits - p.waits || (p.dueOn < q.dueOn ? -1 : 1))
})
</script>

<template>
  <section aria-labelledby="set-title">
    <h2 id="set-title">What is set</h2>
    <ul>
      <li v-for="line in lines" :key="line.to">
        <NuxtLink :to="line.to" class="title">{{ line.title }}</NuxtLink>
        <span>{{ line.whom }}</span>
        <span class="quiet">due {{ dueWords(line.dueOn) }}</span>
        <span :class="{ quiet: !line.waits }">{{ line.state }}</span>
      </li>
    </ul>
    <p class="word-row">
      <NuxtLink v-for="c in taught" :key="c.id" :to="`/exercises/record/${c.id}`" class="word-link"
        >who is where: {{ c.name }}</NuxtLink
      >
    </p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
}
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 190px 230px;
  gap: 4px 20px;
  padding: 7px 0;
  border-bottom: 1px solid var(--line);
  align-items: baseline;
}
.title {
  font-weight: 600;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
