<script setup lang="ts">
import { z } from 'zod'
import { ERASE_DAYS, ERASE_WISH_WORDS, goingSchema, type EraseWish } from '~~/shared/person'

/** What belongs to a person: taken away as it is, or taken out, with the time in which that can be undone. */
const props = defineProps<{ personId: number; name: string; /** The owner's word takes at once. */ owner?: boolean }>()
const emit = defineEmits<{ erased: [] }>()
const session = useSessionStore(),
  own = computed(() => session.person.id === props.personId)
const path = `/people/${props.personId}/erasure`
const { data: going, problem: unread, refresh } = useApiData(goingSchema, path),
  erasure = computed(() => going.value?.erasure ?? null)
const { problem, busy, act } = useAct(),
  asking = ref<'wish' | 'at-once' | null>(null),
  wish = ref<EraseWish>('own')
const WISHES = computed(() => [
  { key: 'own', label: own.value ? 'my own wish' : 'their own wish' },
  { key: 'guardian', label: 'a guardian’s wish' },
  ...(props.owner ? [{ key: 'house', label: 'the house’s word' }] : [])
])
async function ask() {
  const atOnce = asking.value === 'at-once'
  const went = await act(() => api(z.object({}), path, { method: 'PUT', body: { wish: wish.value, atOnce } }))
  if (!went) return
  asking.value = null
  if (atOnce) emit('erased')
  else await refresh()
}
const undo = () => act(() => api(z.object({}), path, { method: 'DELETE' })).then(refresh)
</script>

<template>
  <div class="record">
    <p v-if="unread || problem" role="alert">{{ unread || problem }}</p>
    <p v-if="erasure" role="status" class="going">
      {{ own ? 'Everything of yours' : `Everything of ${name}` }} will be erased on {{ dayWords(erasure.at) }},
      {{ ERASE_WISH_WORDS[erasure.wish] }}.
      <button class="word-link" @click="undo">keep it after all</button>
    </p>
    <p class="word-row">
      <a class="word-link" :href="apiAt(`/people/${personId}/record`)" download>the whole record (zip)</a>
      <button v-if="!erasure" class="word-link" @click="asking = 'wish'">erase …</button>
      <button v-if="owner" class="word-link" @click="asking = 'at-once'">erase at once …</button>
    </p>
    <v-dialog :model-value="asking !== null" aria-labelledby="erase-title" @update:model-value="asking = null">
      <v-card>
        <div class="dialog-sheet">
          <h2 id="erase-title">{{ own ? 'Erase everything of yours?' : `Erase everything of ${name}?` }}</h2>
          <p class="words">
            Pictures, critiques, exercises, the account: all of it goes, and nobody can bring it back.
            {{
              asking === 'at-once'
                ? 'It goes now.'
                : `It goes in ${countWord(ERASE_DAYS)} days; until then it can be kept after all.`
            }}
            The record can be taken away first.
          </p>
          <WordChoice v-model="wish" label="On whose wish" :choices="WISHES" />
          <p v-if="problem" role="alert">{{ problem }}</p>
          <div class="word-row">
            <v-btn variant="flat" color="primary" :loading="busy" @click="ask">{{
              asking === 'at-once' ? 'Erase it now' : 'Erase it then'
            }}</v-btn>
            <v-btn variant="text" @click="asking = null">Not now</v-btn>
          </div>
        </div>
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.record {
  display: grid;
  gap: 8px;
}
.going {
  color: var(--accent);
}
</style>
