<script setup lang="ts">
import { BOARDS, exerciseOf, type ExerciseKey } from '~~/core/exercise'

/** All exercises by what they train; the one in hand is shown in full, and set from there. */
const emit = defineEmits<{ set: [] }>()
const taken = ref<ExerciseKey | null>(null)
function take(key: ExerciseKey) {
  taken.value = taken.value === key ? null : key
}
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
              <button :aria-expanded="taken === key" :class="{ taken: taken === key }" @click="take(key)">
                {{ exerciseOf(key).title }}
              </button>
            </li>
          </ul>
        </div>
      </div>
      <LazyShelfExercise v-if="taken" :key="taken" :exercise="taken" @set="emit('set')" />
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
button {
  background: none;
  border: 0;
  border-bottom: 2px solid transparent;
  padding: 4px 0;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
button:hover {
  border-color: var(--line);
}
.taken {
  border-color: var(--accent);
  font-weight: 600;
}
@media (max-width: 900px) {
  .boards,
  .both.open {
    grid-template-columns: 1fr 1fr;
  }
  .both.open,
  .open .boards {
    grid-template-columns: 1fr;
  }
}
</style>
