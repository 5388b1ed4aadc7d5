<script setup lang="ts">
import { loginOf } from '~~/shared/account'
import type { HousePerson } from '~~/shared/person'

/** Everybody in the house, one of them opened for what the owner can do. */
const props = defineProps<{ people: readonly HousePerson[]; mailServer: boolean }>()
const emit = defineEmits<{ changed: [] }>()
const stateOf = ({ entered, seenAt, erasure }: HousePerson): string =>
  erasure ? `goes on ${dayWords(erasure.at)}` : entered ? (seenAt ? `here ${dayWords(seenAt)}` : 'in') : 'invited'
const lines = computed(() =>
  props.people.map(person => ({
    id: person.account.id,
    name: person.account.name,
    login: loginOf(person.account),
    roles: person.demo ? 'of the demo' : person.account.roles.join(', ') || 'in no class',
    classes: person.classes.join(', '),
    state: stateOf(person),
    person
  }))
)
const HEADINGS = [
  { key: 'name', title: 'Name', from: 0 },
  { key: 'login', title: 'Signs in as', from: 900 },
  { key: 'roles', title: 'Is', from: 700 },
  { key: 'classes', title: 'In', from: 1100 },
  { key: 'state', title: 'Came in', from: 0 }
]
</script>

<template>
  <OpenTable v-slot="{ line }" :lines="lines" :headings="HEADINGS">
    <HousePersonActs :person="line.person" :mail-server="mailServer" @changed="emit('changed')" />
  </OpenTable>
</template>
