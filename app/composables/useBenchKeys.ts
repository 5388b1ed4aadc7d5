/** The bench's single keys. Typing in a field is never a command. */
import { useEventListener } from '@vueuse/core'

export interface BenchKeys { readonly help: Ref<boolean> }

export function useBenchKeys(): BenchKeys {
  const bench = useBenchStore()
  const help = ref(false)
  const typing = (event: KeyboardEvent): boolean =>
    event.ctrlKey || event.metaKey || event.altKey || (event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [contenteditable], [role="dialog"]') !== null)

  function goBy(by: 1 | -1): void {
    const at = STATION_PLANS.findIndex(p => p.station === bench.station)
    const next = STATION_PLANS[(at + by + STATION_PLANS.length) % STATION_PLANS.length]!
    void navigateTo(`/bench/${bench.submission!.id}/${next.station}`, { replace: true })
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (typing(event)) return
    const digit = Number(event.key)
    if (event.key === ' ') {
      if (event.target instanceof HTMLElement && event.target.closest('button, a')) return
      event.preventDefault()
      bench.comparing = true
    } else if (event.key === '.') goBy(1)
    else if (event.key === ',') goBy(-1)
    else if (event.key === '?') help.value = true
    else if (digit >= 1) {
      const choice = planOf(bench.station).lenses(bench.report)[digit - 1]
      if (choice) bench.lens = choice.request
    } else if (event.key === 'Escape') {
      bench.sketch = bench.draft = null
      bench.drawing = false
    } else if (bench.released) return
    else if (event.key === 'a') bench.drawing = !bench.drawing
    else if (event.key === 'm') {
      event.preventDefault()
      bench.draft = { station: bench.station, area: bench.sketch, readingId: null, reason: '', what: '', todo: '', target: null }
    }
  })
  useEventListener('keyup', (event: KeyboardEvent) => { if (event.key === ' ') bench.comparing = false })
  useEventListener('blur', () => { bench.comparing = false })
  return { help }
}
