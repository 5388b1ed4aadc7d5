<script setup lang="ts">
import { z } from 'zod'
import { USUAL_WHITE } from '~~/core/paint/own'
import { usePaintAnswer } from '~/workshop/usePaintAnswer'

/** The book on paper: printed with boxes to paint beside, read back, and what that says of one's paints. */
const workshop = useWorkshopStore()
const chooser = ref<HTMLInputElement>(),
  said = ref('')
const { problem, busy, act } = useAct()
async function read(file: File | undefined) {
  if (!file) return
  const body = new FormData()
  body.append('picture', file)
  said.value = ''
  await act(async () => {
    const { read } = await api(z.object({ read: z.int() }), '/workshop/sheet', { method: 'POST', body })
    said.value = `${capital(countWord(read))} ${read === 1 ? 'box was' : 'boxes were'} read.`
    await workshop.load()
  })
  chooser.value!.value = ''
}
/** What painted mixtures say: a tint that should be another. */
const { answer: learned } = usePaintAnswer(() => {
  const paints = [...workshop.paints],
    read = workshop.swatches.flatMap(s =>
      s.read && s.parts.length > 1
        ? [{ hex: s.read.hex, parts: s.parts.map(p => ({ name: p.name, amount: p.parts })) }]
        : []
    )
  return read.length ? worker => worker.learned(paints, read) : null
})
async function correct() {
  for (const { name, tint } of learned.value ?? []) {
    const paint = workshop.paints.find(p => p.name === name)
    if (paint && name !== USUAL_WHITE.name) await workshop.set(paint.id, { ...paint, tint })
  }
}
</script>

<template>
  <div class="sheet">
    <p class="row">
      <a class="word-link" :href="apiAt('/workshop/sheet')" target="_blank">print a sheet to paint</a>
      <button class="word-link" :disabled="busy" @click="chooser!.click()">
        {{ busy ? 'reading …' : 'read a painted sheet' }}
      </button>
    </p>
    <input
      ref="chooser"
      class="visually-hidden"
      type="file"
      accept="image/*"
      aria-label="A photograph of the painted sheet"
      @change="read(chooser!.files?.[0])"
    />
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div v-if="learned?.length" class="learned">
      <p v-for="l in learned" :key="l.name">
        Your {{ l.name }} is of another strength than its tint says: mixtures with it were off by {{ l.before }} (ΔE00),
        and would be by {{ l.after }}.
      </p>
      <button class="word-link" :disabled="workshop.busy" @click="correct">correct my paints by this</button>
    </div>
  </div>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.learned {
  font-size: 13px;
}
</style>
