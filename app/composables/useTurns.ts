/** Setting a page up part by part, each in a turn of its own, so that no single one holds the page for long. */
export function useTurns(): { readonly turn: Readonly<Ref<number>>, readonly begin: (turns: number) => Promise<void> } {
  const turn = ref(0)
  let gone = false
  onScopeDispose(() => { gone = true })
  return {
    turn,
    async begin(turns) {
      for (let next = 1; next <= turns && !gone; next++) {
        // A message lets the page paint and answer in between; a promise would not.
        await new Promise(resolve => setTimeout(resolve))
        turn.value = next
        await nextTick()
      }
    }
  }
}
