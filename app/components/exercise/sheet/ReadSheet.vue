<script setup lang="ts">
import { z } from 'zod'
import { nameOfLinear } from '~~/core/colour/names'
import { linearOfHex } from '~~/core/colour/srgb'
import { PRINTER_DOUBT } from '~~/core/exercise/reader/doubts'
import { rowsOf } from '~~/core/exercise/worksheet/rows'
import type { Assignment } from '~~/shared/exercises/assignment'
import type { KeptSheet } from '~~/shared/exercises/worksheet'

/** One sheet as it was read: each box as wanted and as painted, and one word to try. */
const props = defineProps<{ kept: KeptSheet; assignment: Assignment; own: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const path = `/assignments/${props.assignment.id}/sheets/${props.kept.id}`
const boxes = computed(() => props.kept.sheet.boxes)
/** As they stand on the sheet: a box's name begins with its row. */
const rows = computed(() => {
  const { exercise, settings, plan } = props.assignment
  // Printed after a plan, a sheet has the planned colour.
  const captions = rowsOf(exercise, { ...settings, hue: settings.hue ?? plan?.hue ?? null }).map(r => r.caption)
  const numbers = [...new Set(boxes.value.map(b => parseInt(b.name)))]
  return numbers.map(n => ({
    caption: capital(captions[n - 1] ?? ''),
    boxes: boxes.value.filter(b => parseInt(b.name) === n)
  }))
})
const MARKS = { right: 'right', near: 'near', off: 'off' } as const
const counts = computed(() => {
  const of = (v: keyof typeof MARKS): number => boxes.value.filter(b => b.verdict === v).length
  return `${of('right')} right, ${of('near')} near, ${of('off')} off`
})
const disputeOf = (box: string): string => props.kept.disputes.find(d => d.box === box)?.word ?? ''
const disputing = ref<string | null>(null),
  word = ref('')
const { problem, busy, act } = useAct()
async function send(to: string, method: 'POST' | 'PUT', body?: object) {
  if (await act(() => api(z.object({}), `${path}${to}`, { method, body }))) {
    disputing.value = null
    emit('changed')
  }
}
function begin(box: string) {
  disputing.value = box
  word.value = disputeOf(box)
}
const said = (hex: string): string => nameOfLinear(linearOfHex(hex)).said
/** Only where a word tells them apart. */
function between({ wanted, measured }: { wanted: string; measured: string }): string {
  const [asked, is] = [said(wanted), said(measured)]
  return asked === is ? '' : `wanted ${asked}, is ${is}`
}
</script>

<template>
  <article class="read">
    <a :href="apiAt(`${path}/picture`)" target="_blank"
      ><img :src="apiAt(`${path}/picture`)" alt="The photograph of the sheet" loading="lazy"
    /></a>
    <div class="side">
      <h2>
        {{ counts }} <span class="quiet">· read {{ dayWords(kept.readAt) }}</span>
      </h2>
      <p v-for="doubt in kept.sheet.doubts" :key="doubt" role="status">
        {{ doubt }}
        <NuxtLink v-if="doubt === PRINTER_DOUBT" to="/exercises/printer" class="word-link">calibrate it</NuxtLink>
      </p>
      <section v-for="row in rows" :key="row.caption" class="row">
        <h3>{{ row.caption }}</h3>
        <ul>
          <li v-for="box in row.boxes" :key="box.name" :data-box="box.name">
            <span class="patches" aria-hidden="true"
              ><i :style="{ background: box.wanted }" /><i :style="{ background: box.measured }"
            /></span>
            <span>
              <b :class="box.verdict">{{ MARKS[box.verdict] }}</b> {{ box.label }}
              <template v-if="box.word === 'empty'">· not painted</template>
              <template v-else>
                <span v-if="box.verdict !== 'right'" class="quiet">{{ between(box) }}</span>
                <template v-if="box.word"> · try {{ box.word }}</template>
              </template>
              <span v-if="box.doubt" class="quiet"> ({{ box.doubt }})</span>
              <span v-if="disputeOf(box.name)" class="words"> “{{ disputeOf(box.name) }}”</span>
              {{ ' ' }}
              <button
                v-if="own && !kept.confirmedAt && box.verdict !== 'right' && disputing !== box.name"
                class="word-link"
                @click="begin(box.name)"
              >
                {{ disputeOf(box.name) ? 'change that' : 'I see it otherwise' }}
              </button>
            </span>
            <form
              v-if="disputing === box.name"
              class="dispute"
              @submit.prevent="send('/dispute', 'PUT', { box: box.name, word })"
            >
              <v-text-field v-model="word" :label="`What you see in ${box.label}`" maxlength="300" autofocus />
              <v-btn type="submit" size="small" :loading="busy">Say it</v-btn>
            </form>
          </li>
        </ul>
      </section>
      <p v-if="problem" role="alert">{{ problem }}</p>
      <p v-if="kept.confirmedAt" class="words">Confirmed on {{ dayWords(kept.confirmedAt) }}.</p>
      <v-btn v-else-if="!own" color="primary" variant="flat" :loading="busy" @click="send('/confirm', 'POST')"
        >Confirm the sheet</v-btn
      >
    </div>
  </article>
</template>

<style scoped>
.read {
  display: grid;
  grid-template-columns: 340px minmax(0, 1fr);
  gap: 28px;
  border-top: 1px solid var(--line);
  padding-top: 14px;
  align-items: start;
}
img {
  width: 100%;
}
.side {
  display: grid;
  gap: 10px;
  justify-items: start;
}
.row {
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
  columns: 2 320px;
  column-gap: 28px;
}
li {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr);
  gap: 10px;
  padding: 4px 0;
  break-inside: avoid;
}
.patches {
  display: flex;
  height: 28px;
}
.patches i {
  flex: 1;
}
b {
  display: inline-block;
  min-width: 38px;
}
.right {
  font-weight: 400;
}
.off {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.dispute {
  grid-column: 1 / -1;
  display: flex;
  gap: 10px;
  align-items: center;
}
.dispute > :first-child {
  flex: 1;
}
@media (max-width: 700px) {
  .read {
    grid-template-columns: 1fr;
  }
}
</style>
