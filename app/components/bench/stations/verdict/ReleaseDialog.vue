<script setup lang="ts">
/** The last question before the learner sees it. */
const props = defineProps<{ /** Brings what is still being written to the server. */ write: () => Promise<unknown> }>()
const open = defineModel<boolean>({ required: true })
const bench = useBenchStore(),
  edits = useEditsStore()
const note = ref(''),
  again = computed(() => bench.critique.releasedAt !== null)
async function release() {
  await props.write()
  await edits.release(note.value)
  open.value = false
}
</script>

<template>
  <v-dialog v-model="open" aria-labelledby="release-title">
    <v-card>
      <div class="dialog-sheet">
        <h2 id="release-title">Release the critique of “{{ bench.piece.title }}”?</h2>
        <p class="words">
          {{ bench.piece.learner.name }} will see {{ countWord(bench.critique.corrections.length) }} correction{{
            bench.critique.corrections.length === 1 ? '' : 's'
          }}, your words{{ bench.critique.assignment ? ', and the exercise' : '' }}. You can take it back later.
        </p>
        <v-text-field v-if="again" v-model="note" label="What you changed, for the learner" maxlength="500" />
        <p v-if="edits.problem" role="alert">{{ edits.problem }}</p>
        <div class="actions">
          <v-btn variant="flat" color="primary" @click="release">Release</v-btn>
          <v-btn variant="text" @click="open = false">Not yet</v-btn>
        </div>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.actions {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
</style>
