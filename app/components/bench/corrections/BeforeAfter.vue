<script setup lang="ts">
/** Numbers before and after a trial, a row each. */
defineProps<{ rows: readonly { readonly words: string; readonly before: string; readonly after: string }[] }>()
</script>

<template>
  <table v-if="rows.length">
    <thead>
      <tr>
        <th />
        <th>before</th>
        <th>after</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="r in rows" :key="r.words">
        <td>{{ r.words }}</td>
        <td>{{ r.before }}</td>
        <td>{{ r.after }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
th {
  text-align: right;
  font-weight: 400;
}
td {
  border-top: 1px solid var(--l40);
  padding: 2px 0;
}
td:not(:first-child) {
  text-align: right;
  width: 56px;
}
</style>
