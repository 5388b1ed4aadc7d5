<script setup lang="ts">
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** Which two of one's paints go to mud, and why. */
const workshop = useWorkshopStore()
const { answer, problem } = usePaintAnswer(() => {
  const paints = [...workshop.paints],
    { wheel } = workshop
  return paints.length ? worker => worker.mud(paints, wheel) : null
})
const hexOf = (name: string): string | undefined => workshop.paints.find(p => p.name === name)?.masstone
const SHOWN = 5
</script>

<template>
  <div>
    <h2>What goes to mud</h2>
    <p v-if="answer && !answer.length" class="words">No two of your paints lose their colour in one another.</p>
    <p v-else-if="answer" class="quiet">half-way between both, how much colour is left of what there might be</p>
    <ul>
      <li v-for="pair in answer?.slice(0, SHOWN)" :key="pair.names.join()">
        <span class="three">
          <i :style="{ background: hexOf(pair.names[0]) }" /><i class="mud" :style="{ background: pair.hex }" /><i
            :style="{ background: hexOf(pair.names[1]) }"
          />
        </span>
        <span>
          <b>{{ pair.names[0] }} and {{ pair.names[1] }}</b>
          <span class="quiet"> chroma {{ pair.chroma }} of {{ pair.between }}</span
          ><br />
          <span class="words">{{ pair.words }}</span>
        </span>
      </li>
    </ul>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 8px 0 0;
}
li {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 14px;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
.three {
  display: flex;
}
i {
  flex: 1;
  height: 46px;
}
.mud {
  flex: 2;
}
</style>
