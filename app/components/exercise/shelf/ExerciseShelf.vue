<script setup lang="ts">
import { BOARDS, exerciseOf, type ExerciseKey } from '~~/core/exercise'
import { NO_SCHEME } from '~~/core/exercise/own/own'
import { ownListSchema, type OwnListed } from '~~/shared/exercises/own-exercise'

/** All exercises by what they train, and one's own; the one in hand is shown in full, set from there, or changed. */
const emit = defineEmits<{ set: [] }>()
const session = useSessionStore()
const { data: own, refresh } = useApiData(ownListSchema, () =>
  session.person.roles.includes('instructor') ? '/own-exercises' : null
)
interface Taken {
  readonly exercise: ExerciseKey
  readonly own: OwnListed | null
  /** Begun from nothing. */
  readonly fresh?: boolean
}
const NEW: Taken = { exercise: NO_SCHEME, own: null, fresh: true }
const taken = shallowRef<Taken | null>(null),
  changing = ref(false)
const isTaken = (exercise: ExerciseKey, id: number | null): boolean =>
  taken.value?.exercise === exercise && (taken.value.own?.id ?? null) === id && !taken.value.fresh
function take(next: Taken) {
  taken.value = isTaken(next.exercise, next.own?.id ?? null) ? null : next
  changing.value = false
}
function begin() {
  taken.value = NEW
  changing.value = true
}
function leave() {
  if (taken.value?.fresh) taken.value = null
  changing.value = false
}
/** @param id of what was kept; null when it was dropped. */
async function kept(id: number | null) {
  await refresh()
  const found = own.value?.find(o => o.id === id)
  taken.value = found ? { exercise: found.exercise.base, own: found } : null
  changing.value = false
}
const keyOf = ({ exercise, own: of }: Taken): string =>
  `${exercise} ${of?.id ?? ''} ${of ? JSON.stringify(of.exercise) : ''}`
</script>

<template>
  <section class="shelf" aria-labelledby="shelf-title">
    <h2 id="shelf-title">The shelf</h2>
    <div class="both" :class="{ open: taken }">
      <div class="boards">
        <div v-for="board in BOARDS" :key="board.name">
          <h3>{{ board.name }}</h3>
          <ul>
            <li v-for="key in board.keys" :key="key">
              <button
                :aria-expanded="isTaken(key, null)"
                :class="{ taken: isTaken(key, null) }"
                @click="take({ exercise: key, own: null })"
              >
                {{ exerciseOf(key).title }}
              </button>
            </li>
          </ul>
        </div>
        <div v-if="own">
          <h3>Your own</h3>
          <ul>
            <li v-for="o in own" :key="o.id">
              <button
                :aria-expanded="isTaken(o.exercise.base, o.id)"
                :class="{ taken: isTaken(o.exercise.base, o.id) }"
                @click="take({ exercise: o.exercise.base, own: o })"
              >
                {{ o.exercise.title }}
              </button>
            </li>
            <li><button class="quiet" :aria-expanded="taken === NEW" @click="begin">build a new one</button></li>
          </ul>
        </div>
      </div>
      <template v-if="taken">
        <LazyOwnEditor v-if="changing" :key="keyOf(taken)" v-bind="taken" @kept="kept" @left="leave" />
        <LazyShelfExercise v-else :key="keyOf(taken)" v-bind="taken" @set="emit('set')" @adapt="changing = true" />
      </template>
    </div>
  </section>
</template>

<style scoped>
.shelf {
  display: grid;
  gap: 10px;
}
.boards {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 20px 28px;
}
.both.open {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 40px;
  align-items: start;
}
.open .boards {
  grid-template-columns: 1fr;
  gap: 14px;
}
h3 {
  border-bottom: 1px solid var(--line);
  padding-bottom: 4px;
  margin-bottom: 4px;
}
ul {
  list-style: none;
  padding: 0;
}
li button {
  background: none;
  border: 0;
  border-bottom: 2px solid transparent;
  padding: 4px 0;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
li button:hover {
  border-color: var(--line);
}
li .taken {
  border-color: var(--accent);
  font-weight: 600;
}
@media (max-width: 900px) {
  .boards {
    grid-template-columns: 1fr 1fr;
  }
  .both.open,
  .open .boards {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
