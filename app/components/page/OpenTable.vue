<script setup lang="ts" generic="Line extends { readonly id: number; readonly name: string }">
import { useDisplay } from 'vuetify'

/** A long list of people: sorted, searched, paged, and one of them opened for what can be done. */
const props = defineProps<{
  lines: readonly Line[]
  /** @property from page width in pixels at which the column has room. */
  headings: readonly { readonly key: string; readonly title: string; readonly from: number; readonly align?: 'end' }[]
}>()
defineSlots<{ default(given: { line: Line }): unknown }>()
const { width } = useDisplay()
const find = ref(''),
  page = ref(1),
  pages = computed(() => Math.ceil(matching.value / A_PAGE))
/** As the table itself finds them: in any column. */
const matching = computed(() => {
  const wanted = (find.value ?? '').toLowerCase()
  return wanted
    ? props.lines.filter(line =>
        shown.value.some(h =>
          String((line as Readonly<Record<string, unknown>>)[h.key] ?? '')
            .toLowerCase()
            .includes(wanted)
        )
      ).length
    : props.lines.length
})
watch(find, () => (page.value = 1))
/** More than a few are searched, more than these paged. */
const FEW = 12,
  A_PAGE = 25
const shown = computed(() => props.headings.filter(h => width.value >= h.from))
</script>

<template>
  <div class="open-table wide">
    <v-text-field v-if="lines.length > FEW" v-model="find" label="Find" class="find" clearable />
    <v-data-table
      v-model:page="page"
      :items="lines"
      :headers="shown"
      :search="find ?? ''"
      item-value="id"
      density="compact"
      :items-per-page="A_PAGE"
      hide-default-footer
      no-data-text="Nobody is called so."
    >
      <template #item.name="{ item, internalItem, isExpanded, toggleExpand }">
        <button class="word-link" :aria-expanded="isExpanded(internalItem)" @click="toggleExpand(internalItem)">
          {{ item.name }}
        </button>
      </template>
      <template #expanded-row="{ columns, item }">
        <tr>
          <td :colspan="columns.length"><slot :line="item" /></td>
        </tr>
      </template>
    </v-data-table>
    <p v-if="pages > 1" class="pages">
      <span class="quiet">{{ (page - 1) * A_PAGE + 1 }}–{{ Math.min(matching, page * A_PAGE) }} of {{ matching }}</span>
      <button class="word-link" :disabled="page === 1" @click="page--">before</button>
      <button class="word-link" :disabled="page === pages" @click="page++">after</button>
    </p>
  </div>
</template>

<style scoped>
.find {
  max-width: 280px;
  margin-bottom: 6px;
}
.pages {
  display: flex;
  gap: 16px;
  align-items: baseline;
  padding-top: 10px;
}
/* A name or an address without a space is broken, not let run off the page. */
.open-table :deep(td) {
  font-size: 14px;
  overflow-wrap: anywhere;
}
.open-table :deep(td:first-child) {
  min-width: 150px;
}
</style>
