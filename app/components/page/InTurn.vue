<script lang="ts">
import { Fragment, type VNode } from 'vue'
import { nextTask } from '~/start/oneByOne'

/** What a template repeats counts as so many children. */
const childrenOf = (nodes: readonly VNode[]): VNode[] =>
  nodes.flatMap(n => (n.type === Fragment && Array.isArray(n.children) ? childrenOf(n.children as VNode[]) : [n]))

/**
 * Children set up one after another, each in a task of its own: a screen set up all at once holds the page for longer
 * than a hand notices (docs/performance.md, what it moves).
 */
export default defineComponent({
  name: 'InTurn',
  setup(_, { slots }) {
    const set = ref(0)
    let all = 0,
      gone = false
    onMounted(async () => {
      while (!gone && set.value < all) {
        await nextTask()
        set.value++
      }
      // What comes later comes at once.
      set.value = Infinity
    })
    onBeforeUnmount(() => {
      gone = true
    })
    return () => {
      const children = childrenOf(slots.default?.() ?? [])
      all = children.length
      return children.slice(0, set.value)
    }
  }
})
</script>
