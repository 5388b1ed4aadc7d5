<script setup lang="ts">
import { z } from 'zod'
import { openRoom, useRoomChannel } from '~/sitting/room'
import type { SittingPiece } from '~~/shared/sitting'

/** A session in front of others: all its pieces, what was said on which; afterwards, its record. */
definePageMeta({ whose: ['instructor'] })
const id = Number(useRoute().params.id)
const store = useSittingStore(),
  { problem, busy, act } = useAct()
const sitting = computed(() => (store.sitting?.id === id ? store.sitting : null))
void act(async () => {
  await store.open(id)
  // While the list is looked at nothing hangs: the clock stands.
  if (store.piece && !store.sitting!.paused) await store.pause('pause')
})
useHead({ title: () => `${sitting.value?.call ?? 'Session'} · Critica` })

const running = computed(() => sitting.value !== null && sitting.value.endedAt === null),
  talked = computed(() => sitting.value?.pieces.filter(p => p.standing === 'said') ?? []),
  parked = computed(() => sitting.value?.pieces.filter(p => p.standing === 'parked') ?? [])
const load = computed(() => {
  const { pieces, budgetMinutes, endedAt } = sitting.value!,
    n = store.waiting.length
  if (endedAt) {
    const of = `${capital(countWord(talked.value.length))} of ${countWord(pieces.length)}`
    return `${of} talked about on ${dayWords(endedAt)}.`
  }
  if (n > 0) return `${capital(countWord(n))} to go, about ${minutesInWords(n * budgetMinutes)}.`
  return parked.value.length > 0 ? `None waits; ${countWord(parked.value.length)} parked.` : 'All were talked about.'
})
const STANDING = { waiting: '', said: 'talked about', parked: 'parked' } as const
const standingOf = (p: SittingPiece): string =>
  [
    p.id === sitting.value!.up ? 'up now' : STANDING[p.standing],
    p.seconds >= 30 ? `${Math.round(p.seconds / 60) || 1} min` : ''
  ]
    .filter(Boolean)
    .join(' · ')
const end = () =>
  act(async () => {
    await api(z.object({}), `/sittings/${id}/end`, { method: 'POST' })
    await store.open(id)
  })

/** The room's window has nothing to show meanwhile. */
const { post, data } = useRoomChannel(id)
const curtain = () =>
  sitting.value
  && post({ kind: 'curtain', call: sitting.value.call, words: running.value ? '' : 'That was all. Thank you.' })
watch([data, running], curtain)
onMounted(curtain)
</script>

<template>
  <div class="session">
    <template v-if="sitting">
      <header>
        <p class="quiet">{{ running ? 'Session' : 'Record of the session' }}</p>
        <h1>{{ sitting.call }}</h1>
        <p>{{ load }}</p>
        <div v-if="running" class="acts">
          <v-btn v-if="store.piece || store.waiting.length" color="primary" variant="flat" @click="store.goOn()">
            {{ talked.length + parked.length ? 'Go on' : 'Begin' }}
          </v-btn>
          <button class="word-link" @click="openRoom(id)">open the room’s window</button>
          <button class="word-link" :disabled="busy" @click="end">end the session</button>
          <span class="quiet">Ending it sends what is written below to whose piece it is.</span>
        </div>
      </header>
      <p v-if="problem || store.problem" role="alert">{{ problem || store.problem }}</p>
      <ol>
        <li v-for="p in sitting.pieces" :key="p.id">
          <NuxtLink class="hang" :to="`/bench/${p.id}`" :aria-label="p.title" :tabindex="-1">
            <img :src="apiAt(`/submissions/${p.id}/picture/thumb`)" alt="" loading="lazy" />
          </NuxtLink>
          <div class="of">
            <h3>{{ p.title }}</h3>
            <p class="quiet">
              {{ [p.by ?? 'not to be named', standingOf(p)].filter(Boolean).join(' · ') }}
            </p>
            <p v-if="p.question" class="question">“{{ p.question }}”</p>
            <ul v-if="p.marked.length" aria-label="Marked">
              <li v-for="m in p.marked" :key="m">{{ m }}</li>
            </ul>
            <SaidField
              v-if="p.standing === 'said' || p.said || p.id === sitting.up"
              :sitting-id="id"
              :piece="p"
              label="Said of it"
            />
          </div>
          <button
            v-if="running && p.id !== sitting.up"
            class="word-link"
            :disabled="store.busy"
            @click="store.pick(p.id)"
          >
            {{ p.standing === 'waiting' ? 'take it up now' : 'take it up again' }}
          </button>
        </li>
      </ol>
    </template>
    <p v-else-if="problem" role="alert">{{ problem }} <NuxtLink to="/calls">To the calls</NuxtLink></p>
  </div>
</template>

<style scoped>
.session {
  padding-top: 20px;
  display: grid;
  gap: 18px;
  max-width: 820px;
}
header {
  display: grid;
  gap: 8px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
ol,
ul {
  list-style: none;
  padding: 0;
}
ol > li {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  gap: 20px;
  align-items: start;
  padding: 14px 0;
  border-top: 1px solid var(--line);
}
.hang {
  height: 110px;
  background: var(--wall);
  outline: 1px solid var(--line);
}
.hang img {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.of {
  display: grid;
  gap: 4px;
}
@media (max-width: 600px) {
  ol > li {
    grid-template-columns: 96px minmax(0, 1fr);
  }
}
</style>
