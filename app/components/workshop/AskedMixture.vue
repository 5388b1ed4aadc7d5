<script setup lang="ts">
import { mdiMinus, mdiPlus } from '@mdi/js'
import { list } from '~~/core/critique/words'
import { MOST_IN_MIXTURE } from '~~/core/paint/mixture'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'
import { colourInWords } from '~/workshop/told'

/** What do I get: up to four paints in parts, and the strip from the first to the others. */
const workshop = useWorkshopStore()
const { answer, problem } = usePaintAnswer(() => {
  const parts = workshop.inMixture.map(({ paint, amount }) => ({
      paint: { masstone: paint.masstone, tint: paint.tint },
      amount
    })),
    { wheel } = workshop
  return parts.length ? worker => worker.mixture(parts, wheel) : null
})
const tooMany = computed(() => workshop.inMixture.length > MOST_IN_MIXTURE)
const title = computed(() => {
  const names = workshop.inMixture.map(p => p.paint.name)
  return names.length ? capital(list(names)) : 'What do I get?'
})
function change(id: number, by: number) {
  workshop.parts = { ...workshop.parts, [id]: Math.max(0, (workshop.parts[id] ?? 0) + by) }
}
const keep = () =>
  workshop.keep({
    kind: 'mixture',
    hexes: [answer.value!.described.hex],
    parts: workshop.inMixture.map(({ paint, amount }) => ({
      name: paint.name,
      masstone: paint.masstone,
      tint: paint.tint,
      parts: amount
    })),
    note: ''
  })
</script>

<template>
  <div class="mixture">
    <h2>{{ title }}</h2>
    <p v-if="!workshop.inMixture.length" class="words">
      Press two paints at the left: here is what comes of them, and every step between. Up to
      {{ countWord(MOST_IN_MIXTURE) }} can go into one mixture.
    </p>
    <p v-else-if="tooMany" role="alert">More than {{ countWord(MOST_IN_MIXTURE) }} go to mud. Take one out.</p>
    <template v-else-if="answer">
      <p class="quiet">{{ colourInWords(answer.described) }}</p>
      <div class="strip">
        <span v-for="step in answer.steps" :key="step.parts.join()">
          <i :style="{ background: step.hex }" />{{ step.parts.join(' : ') }}
        </span>
        <span v-if="!answer.steps.length" class="whole"><i :style="{ background: answer.described.hex }" /></span>
      </div>
      <div class="made">
        <i :style="{ background: answer.described.hex }" />
        <div>
          <p v-for="{ paint, amount } in workshop.inMixture" :key="paint.id" class="part">
            <button :aria-label="`Less ${paint.name}`" @click="change(paint.id, -1)">
              <v-icon :icon="mdiMinus" size="16" />
            </button>
            <b>{{ amount }}</b>
            <button :aria-label="`More ${paint.name}`" @click="change(paint.id, 1)">
              <v-icon :icon="mdiPlus" size="16" />
            </button>
            {{ paint.name }}
          </p>
        </div>
        <button class="word-link" :disabled="workshop.busy" @click="keep">keep it</button>
      </div>
    </template>
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  padding: 10px 0 14px;
  font-size: 13px;
}
.strip span {
  flex: 1;
  min-width: 0;
}
.strip i {
  display: block;
  height: 150px;
  margin-bottom: 4px;
}
.made {
  display: flex;
  gap: 18px;
  align-items: start;
}
.made > i {
  width: 46px;
  min-height: 46px;
  align-self: stretch;
}
.made > div {
  flex: 1;
}
.part {
  display: flex;
  gap: 8px;
  align-items: center;
}
.part button {
  padding: 2px 4px;
}
.part b {
  min-width: 14px;
  text-align: center;
}
</style>
