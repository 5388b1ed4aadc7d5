<script setup lang="ts">
/**
 * One of several, drawn as its slot says: the browser's own radio buttons beneath, so arrows move within and Tab passes
 * by.
 */
export interface Choice {
  readonly key: string
  readonly label: string
  /** What the pointer is told when it rests on it. */
  readonly hint?: string
}
defineProps<{ label: string; choices: readonly Choice[]; disabled?: boolean }>()
defineSlots<{ default?(props: { choice: Choice; index: number }): unknown }>()
/** Key of the one chosen; null while there is none. */
const chosen = defineModel<string | null>({ required: true })
const name = useId()
</script>

<template>
  <div class="choice-group" role="radiogroup" :aria-label="label">
    <label v-for="(c, index) in choices" :key="c.key" :class="{ chosen: c.key === chosen }" :title="c.hint">
      <input
        type="radio"
        :name="name"
        :value="c.key"
        :checked="c.key === chosen"
        :disabled="disabled"
        @change="chosen = c.key"
      />
      <slot :choice="c" :index="index">{{ c.label }}</slot>
    </label>
  </div>
</template>

<style scoped>
.choice-group {
  display: flex;
}
label {
  position: relative;
}
/* Over its label: pressed, and felt for on a touch screen, where it is seen. */
input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: pointer;
}
input:disabled {
  cursor: default;
}
label:has(input:focus-visible) {
  outline: 2px solid currentColor;
  outline-offset: 2px;
}
</style>
