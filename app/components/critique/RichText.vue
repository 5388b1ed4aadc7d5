<script setup lang="ts">
import { parseRich, type RichBlock } from '~~/core/critique/rich'

/** A critic's words as they are read: paragraphs and lists, strong and stressed. */
const props = defineProps<{ words: string }>()
/** Items that follow one another are one list. */
const parts = computed(() =>
  parseRich(props.words).reduce<RichBlock[][]>((all, block) => {
    if (block.kind === 'item' && all.at(-1)?.[0]?.kind === 'item') all.at(-1)!.push(block)
    else all.push([block])
    return all
  }, [])
)
</script>

<template>
  <div class="rich">
    <component :is="part[0]!.kind === 'item' ? 'ul' : 'p'" v-for="(part, i) in parts" :key="i" class="words">
      <component :is="part[0]!.kind === 'item' ? 'li' : 'span'" v-for="(block, j) in part" :key="j">
        <component :is="s.strong ? 'strong' : s.stressed ? 'em' : 'span'" v-for="(s, k) in block.spans" :key="k"
          ><em v-if="s.strong && s.stressed">{{ s.text }}</em
          ><template v-else>{{ s.text }}</template></component
        >
      </component>
    </component>
  </div>
</template>

<style scoped>
.rich {
  display: grid;
  gap: 4px;
}
ul {
  padding-left: 18px;
  list-style: '– ';
}
</style>
