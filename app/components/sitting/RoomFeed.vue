<script setup lang="ts">
import { useRoomFeed } from '~/sitting/useRoomFeed'
import type { Point } from '~~/shared/notes'

/** Shows nothing here: the room's window follows what stands on the bench. */
const props = defineProps<{ sittingId: number; pointing: Point | null }>()
const { pointAt } = useRoomFeed(props.sittingId)
watch(() => props.pointing, pointAt)
</script>

<template><span hidden /></template>
