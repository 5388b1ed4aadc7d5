<script setup lang="ts">
/** How the picture hangs, in words: size, turn, ground. All of it has keys. */
const bench = useBenchStore(),
  wall = useWallStore()
const open = ref(false)
const zoomed = computed(() => `${Math.round(100 * wall.view.zoom)} %`)
const turned = computed(() => Math.round(wall.view.angleDeg))
</script>

<template>
  <div class="tools">
    <button class="word-link" :aria-expanded="open" @click="open = !open">how it hangs</button>
    <template v-if="open">
      <button class="word-link" @click="wall.fit()">fit</button>
      <button class="word-link" aria-label="farther" @click="wall.zoomBy(0.8)">−</button
      ><span class="figure">{{ zoomed }}</span
      ><button class="word-link" aria-label="closer" @click="wall.zoomBy(1.25)">+</button>
      <button class="word-link" :aria-pressed="wall.view.hanging === 'stamp'" @click="wall.hangAs('stamp')">
        stamp
      </button>
      <button class="word-link" :aria-pressed="wall.view.hanging === 'room'" @click="wall.hangAs('room')">
        across the room
      </button>
      <button class="word-link" :aria-pressed="wall.view.mirrored" @click="wall.mirror()">mirrored</button>
      <button class="word-link" @click="wall.turn(90)">quarter turn</button>
      <label class="turn"
        >tilt
        <SlideBar
          :low="-180"
          :high="180"
          :step="1"
          :model-value="turned"
          label="Tilt in degrees"
          @update:model-value="wall.turn($event - wall.view.angleDeg)"
        />
        {{ turned }}°</label
      >
      <button v-if="bench.piece.hasReference" class="word-link" @click="wall.nextReference()">
        reference: {{ wall.reference }}
      </button>
    </template>
    <button class="word-link" title="c" :aria-pressed="wall.divider !== null" @click="wall.toggleDivider()">
      before | after
    </button>
    <button class="word-link" @click="wall.nextGround()">ground: {{ wall.ground }}</button>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: baseline;
  font-size: 12px;
  background: var(--l20);
  color: var(--l96);
  padding: 3px 10px;
}
.tools .word-link {
  font-size: 12px;
}
[aria-pressed='true'] {
  font-weight: 600;
  border-bottom-width: 2px;
}
.figure {
  min-width: 44px;
  text-align: center;
}
.turn {
  display: flex;
  align-items: center;
  gap: 6px;
}
.turn input {
  width: 90px;
  accent-color: var(--l96);
}
</style>
