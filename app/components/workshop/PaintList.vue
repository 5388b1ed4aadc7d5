<script setup lang="ts">
import { mdiClose, mdiPencilOutline } from '@mdi/js'
import { pigmentsOf } from '~~/core/paint/pigments'
import { pigmentWords } from '~/workshop/told'
import type { KeptPaint, PaintInput } from '~~/shared/workshop'

/** Own paints with their tints: what is pressed is mixed, or is what is asked about. */
const workshop = useWorkshopStore()
const editing = ref<KeptPaint | 'new' | null>(null)
const line = computed(() => {
  const n = workshop.paints.length,
    mediums = [...new Set(workshop.paints.map(p => p.medium))]
  return n ? `${mediums.join(', ')} · ${n} ${n === 1 ? 'paint' : 'paints'}` : 'What do you paint or draw with?'
})
const one = computed(() => workshop.ask === 'muted' || workshop.ask === 'shadow')
const pressed = ({ id }: KeptPaint): boolean => (one.value ? workshop.chosen === id : Boolean(workshop.parts[id]))
function press({ id }: KeptPaint) {
  if (one.value) workshop.chosen = id
  else {
    workshop.ask = 'mixture'
    workshop.parts = { ...workshop.parts, [id]: workshop.parts[id] ? 0 : 1 }
  }
}
/** Opacity and lightfastness where the pigment is on the list. */
const titleOf = ({ pigment }: KeptPaint): string | undefined =>
  pigmentsOf(pigment).map(pigmentWords).join('; ') || pigment || undefined
async function keep(paint: PaintInput) {
  const done = editing.value === 'new' ? await workshop.add([paint]) : await workshop.set(editing.value!.id, paint)
  if (done) editing.value = null
}
</script>

<template>
  <section class="paints" aria-labelledby="paints-head">
    <h2 id="paints-head">My paints</h2>
    <p class="quiet">{{ line }}</p>
    <ul>
      <li v-for="paint in workshop.paints" :key="paint.id">
        <button class="paint" :aria-pressed="pressed(paint)" :title="titleOf(paint)" @click="press(paint)">
          <i :style="{ background: paint.masstone }" />
          <i class="tint" :style="{ background: paint.tint ?? 'transparent' }" :class="{ none: !paint.tint }" />
          <span>{{ paint.name }}</span>
        </button>
        <button class="small" :aria-label="`Change ${paint.name}`" title="change" @click="editing = paint">
          <v-icon :icon="mdiPencilOutline" size="15" />
        </button>
        <button class="small" :aria-label="`Take out ${paint.name}`" title="take out" @click="workshop.drop(paint)">
          <v-icon :icon="mdiClose" size="15" />
        </button>
      </li>
    </ul>
    <PaintForm
      v-if="editing"
      :key="editing === 'new' ? 'new' : editing.id"
      :paint="editing === 'new' ? null : editing"
      @keep="keep"
      @leave="editing = null"
    />
    <p v-else><button class="word-link" @click="editing = 'new'">add one</button></p>
    <p v-if="workshop.out" role="status">
      Taken out: {{ workshop.out.name }}.
      <button class="word-link" :disabled="workshop.busy" @click="workshop.out.back()">put it back</button>
    </p>
    <PaintLists />
    <p v-if="workshop.problem" role="alert">{{ workshop.problem }}</p>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 10px 0 8px;
}
li {
  display: flex;
  align-items: center;
  gap: 2px;
}
.paint {
  display: grid;
  grid-template-columns: 46px 22px 1fr;
  align-items: center;
  gap: 8px;
  flex: 1;
  padding: 4px 6px 4px 8px;
  margin-left: -11px;
  border-left: 3px solid transparent;
  text-align: left;
  line-height: 1.2;
}
.paint[aria-pressed='true'] {
  border-color: var(--accent);
  font-weight: 600;
}
i {
  height: 22px;
}
.none {
  border: 1px dashed var(--line);
}
.small {
  color: var(--quiet);
  padding: 5px 3px;
}
@media (hover: hover) {
  .small {
    opacity: 0;
  }
  li:hover .small,
  .small:focus-visible {
    opacity: 1;
  }
}
</style>
