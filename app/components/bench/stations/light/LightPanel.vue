<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'

/**
 * The light station's instrument: each material picked once in the light and once in the shadow, and what one light
 * would make of it.
 */
const bench = useBenchStore(),
  pencil = usePencilStore(),
  edits = useEditsStore()
const name = ref('')
const pairs = computed(() => bench.notes.pairs)
const section = computed(() => {
  const light = bench.report?.light
  return light && isMeasured(light) ? light : null
})

const rows = computed(() =>
  pairs.value.map((pair, i) => {
    const measured = section.value?.materials.filter(isMeasured).find(m => m.name === pair.name) ?? null
    return { pair, letter: String.fromCharCode(97 + i), measured }
  })
)
const wanting = computed(() => Math.max(0, 3 - pairs.value.filter(p => p.shadow).length))

const others = (except: string) => pairs.value.filter(p => p.name !== except)
async function add() {
  const called = name.value.trim() || `material ${pairs.value.length + 1}`
  const lit = await pencil.pickPoint()
  if (!lit) return
  name.value = ''
  await edits.note({ pairs: [...others(called), { name: called, lit, shadow: null }] })
  const shadow = await pencil.pickPoint()
  if (shadow) await edits.note({ pairs: [...others(called), { name: called, lit, shadow }] })
}
async function again(index: number) {
  const pair = pairs.value[index]!,
    shadow = await pencil.pickPoint()
  if (shadow) await edits.note({ pairs: pairs.value.map((p, i) => (i === index ? { ...pair, shadow } : p)) })
}
async function pickAround() {
  const at = await pencil.pickPoint()
  if (at) await edits.note({ surroundings: at })
}
const asking = computed(() =>
  pencil.tool !== 'point'
    ? ''
    : pairs.value.some(p => !p.shadow)
      ? 'now the same material in the shadow …'
      : 'click the material in the light …'
)
</script>

<template>
  <section aria-label="Light and shadow" class="light">
    <p v-if="wanting" class="hint">
      Pick each material in the light and in the shadow; from three on, the one that leaves the light is named.
    </p>
    <table v-if="rows.length">
      <thead>
        <tr>
          <th>material</th>
          <th>light</th>
          <th>shadow</th>
          <th>as one</th>
          <th>apart</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(r, i) in rows" :key="r.pair.name" :class="{ leaves: r.measured?.leaves }">
          <td>{{ r.letter }}. {{ r.pair.name }}</td>
          <template v-if="r.measured">
            <td><i :style="{ background: r.measured.lit }" :title="r.measured.lit" /></td>
            <td><i :style="{ background: r.measured.shadow }" :title="r.measured.shadow" /></td>
            <td><i :style="{ background: r.measured.expected }" :title="r.measured.expected" /></td>
            <td>{{ Math.round(r.measured.deviation) }}<span v-if="r.measured.leaves"> leaves</span></td>
          </template>
          <td v-else colspan="4"><button class="word-link" @click="again(i)">pick its shadow</button></td>
          <td v-if="!bench.closed">
            <button
              class="word-link"
              :aria-label="`remove ${r.pair.name}`"
              @click="edits.note({ pairs: others(r.pair.name) })"
            >
              drop
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <div v-if="!bench.closed" class="add">
      <p v-if="asking" role="status">{{ asking }} <button class="word-link" @click="pencil.drop()">no</button></p>
      <template v-else>
        <v-text-field v-model="name" label="Material (the clay pot)" maxlength="40" @keydown.enter="add" />
        <button class="word-link" @click="add">pick it in the light, then in the shadow</button>
        <button class="word-link" @click="pickAround">
          {{
            bench.notes.surroundings ? 'pick the surroundings anew' : 'pick the sky or wall that shadows should carry'
          }}
        </button>
      </template>
    </div>
  </section>
</template>

<style scoped>
.light {
  font-size: 13px;
  color: var(--panel-quiet);
}
.hint {
  padding: 8px 0;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin: 6px 0;
}
th {
  text-align: left;
  font-weight: 400;
  font-size: 12px;
  padding: 2px 6px 2px 0;
}
td {
  padding: 3px 6px 3px 0;
  border-top: 1px solid var(--l40);
}
.leaves {
  color: var(--panel-ink);
  font-weight: 600;
}
td:first-child {
  white-space: nowrap;
}
td i {
  display: block;
  width: 26px;
  height: 18px;
}
.add {
  display: grid;
  gap: 8px;
  justify-items: start;
  padding: 10px 0;
}
.add > .v-input {
  width: 100%;
}
</style>
