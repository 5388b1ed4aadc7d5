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
const find = ref('')
/** More than a few are searched, more than these paged. */
const FEW = 12,
  A_PAGE = 40
const shown = computed(() => props.headings.filter(h => width.value >= h.from))
</script>

<template>
  <div class="open-table wide">
    <v-text-field v-if="lines.length > FEW" v-model="find" label="Find" class="find" clearable />
    <v-data-table
      :items="lines"
      :headers="shown"
      :search="find ?? ''"
      item-value="id"
      density="compact"
      :items-per-page="A_PAGE"
      :hide-default-footer="lines.length <= A_PAGE"
      :items-per-page-options="[A_PAGE]"
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
  </div>
</template>

<style scoped>
.find {
  max-width: 280px;
  margin-bottom: 6px;
}
.open-table :deep(td) {
  font-size: 14px;
}
</style>
