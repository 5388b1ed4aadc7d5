<script setup lang="ts">
import { loginOf } from '~~/shared/account'
import type { ListedMember } from '~~/shared/roster'

/** Everybody in a class: sorted, searched, and one of them opened for what can be done. */
const props = defineProps<{ classId: number; people: readonly ListedMember[]; locked: boolean }>()
const emit = defineEmits<{ changed: [] }>()
interface Line {
  readonly id: number
  readonly name: string
  readonly login: string
  readonly role: string
  readonly state: string
  /** Of a learner. */
  readonly pieces: number | ''
  readonly member: ListedMember
}
const stateOf = ({ entered, seenAt, invitedUntil }: ListedMember): string =>
  entered
    ? seenAt
      ? `here ${dayWords(seenAt)}`
      : 'in'
    : invitedUntil
      ? `invited, until ${dayWords(invitedUntil)}`
      : 'the link is over'
const lines = computed<Line[]>(() =>
  props.people.map(member => ({
    id: member.account.id,
    name: member.account.name,
    login: loginOf(member.account),
    role: member.role,
    state: stateOf(member),
    pieces: member.role === 'learner' ? member.pieces : '',
    member
  }))
)
const HEADINGS = [
  { key: 'name', title: 'Name', from: 0 },
  { key: 'login', title: 'Signs in as', from: 700 },
  { key: 'role', title: 'Is', from: 700 },
  { key: 'state', title: 'Came in', from: 0 },
  { key: 'pieces', title: 'Pieces', from: 500, align: 'end' as const }
]
</script>

<template>
  <OpenTable v-slot="{ line }" :lines="lines" :headings="HEADINGS">
    <MemberActs :class-id="classId" :member="line.member" :locked="locked" @changed="emit('changed')" />
  </OpenTable>
</template>
