<script setup lang="ts">
/** Another window was quicker: both versions side by side, and the choice of which stays. */
const edits = useEditsStore()
const open = computed({
  get: () => edits.conflict !== null,
  set: now => {
    if (!now) edits.conflict = null
  }
})

async function keepMine() {
  const { keepMine: keep } = edits.conflict!
  edits.conflict = null
  await keep()
}
function takeTheirs() {
  edits.conflict = null
  edits.problem = ''
  edits.saving = 'saved'
  edits.theirs++
}
</script>

<template>
  <v-dialog v-model="open" max-width="720" persistent aria-labelledby="conflict-title">
    <v-card v-if="edits.conflict">
      <div class="dialog-sheet">
        <h2 id="conflict-title">Changed in another window meanwhile: {{ edits.conflict.what }}</h2>
        <p class="quiet-text">Nothing was overwritten. Which should stay?</p>
        <div class="both">
          <section aria-label="As you wrote it here">
            <h3>Written here</h3>
            <p class="words">{{ edits.conflict.mine || 'nothing' }}</p>
            <v-btn size="small" @click="keepMine">Keep this one</v-btn>
          </section>
          <section aria-label="As it was changed elsewhere">
            <h3>Written there</h3>
            <p class="words">{{ edits.conflict.theirs || 'nothing' }}</p>
            <v-btn size="small" @click="takeTheirs">Keep that one</v-btn>
          </section>
        </div>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.quiet-text {
  color: var(--panel-quiet);
}
.both {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 24px;
}
.both section {
  display: grid;
  gap: 8px;
  align-content: start;
  justify-items: start;
}
.words {
  white-space: pre-line;
}
</style>
