<script setup lang="ts">
import { paintFile, readPaintFile } from '~/workshop/lists'

/** Lists in and out, and the one that a class works with. */
const workshop = useWorkshopStore()
const file = ref<HTMLInputElement>(),
  problem = ref('')
async function bring(chosen: File | undefined) {
  if (!chosen) return
  problem.value = ''
  try {
    await workshop.add(readPaintFile(await chosen.text()))
  } catch (error) {
    problem.value = error instanceof RangeError ? error.message : 'This list cannot be read.'
  }
}
const take = (kind: 'gpl' | 'csv') => giveFile(paintFile(kind, workshop.paints), `my-paints.${kind}`)
const own = computed(() => new Set(workshop.paints.map(p => p.name)))
/** What of a class's list is not in the box yet. */
const lacking = computed(() =>
  workshop.lists
    .map(list => ({ ...list, paints: list.paints.filter(p => !own.value.has(p.name)) }))
    .filter(list => list.paints.length > 0)
)
/** Those that one sets, where they are not the box as it is. */
const led = computed(() =>
  workshop.lists.filter(
    l => l.mayChange && l.paints.map(p => p.name).join() !== workshop.paints.map(p => p.name).join()
  )
)
</script>

<template>
  <div class="lists">
    <p v-for="list in lacking" :key="list.classId">
      {{ list.className }} works with {{ list.paints.length }} {{ list.paints.length === 1 ? 'paint' : 'paints' }} that
      you do not have here.
      <button class="word-link" :disabled="workshop.busy" @click="workshop.add(list.paints)">put them in</button>
    </p>
    <p class="row">
      <button class="word-link" @click="file!.click()">bring a list</button>
      <template v-if="workshop.paints.length">
        <button class="word-link" @click="take('gpl')">take it as .gpl</button>
        <button class="word-link" @click="take('csv')">as a table</button>
      </template>
    </p>
    <template v-if="workshop.paints.length">
      <p v-for="list in led" :key="list.classId">
        <button class="word-link" :disabled="workshop.busy" @click="workshop.setList(list.classId, workshop.paints)">
          make this the list of {{ list.className }}
        </button>
      </p>
    </template>
    <input
      ref="file"
      class="visually-hidden"
      type="file"
      accept=".gpl,.csv,text/plain,text/csv"
      aria-label="A list of paints"
      @change="bring(file!.files?.[0])"
    />
    <p v-if="problem" role="alert">{{ problem }}</p>
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  gap: 8px;
  padding-top: 6px;
  font-size: 13px;
  color: var(--quiet);
}
.lists button {
  text-align: left;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
</style>
