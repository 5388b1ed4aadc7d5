/** The bench's single keys. Typing in a field is never a command. */
import { useEventListener } from '@vueuse/core'
import { rowOf, STATIONS } from '~~/core/critique/stations/table'
import { piecePageSchema, type PiecePage } from '~~/shared/submission'

/** Every key with what it does, in the order they are listed on "?". */
export const BENCH_KEYS: readonly (readonly [key: string, does: string])[] = [
  ['.', 'next station'],
  [',', 'station before'],
  ['e', 'the verdict'],
  ['n', 'next piece that waits'],
  ['1 … 9', 'lens'],
  ['hold space', 'the plain picture'],
  ['+  −', 'closer, farther (or the wheel)'],
  ['f', 'as large as fits'],
  ['s', 'as a stamp'],
  ['d', 'from across the room'],
  ['x', 'mirrored'],
  ['[  ]', 'turn by one degree'],
  ['r', 'turn by a quarter'],
  ['g', 'ground: grey, white, black'],
  ['c', 'a line between before and after'],
  ['v', 'reference: off, beside, under (then hold space)'],
  ['a', 'draw an area by hand'],
  ['b', 'draw a box'],
  ['p', 'draw corner by corner'],
  [
    'arrows',
    'move the picture; while drawing, the cross (space sets it down, Enter closes); while reshaping, the area (+ − grow it)'
  ],
  ['m', 'mark a correction'],
  ['i  k  j', 'mark it by a point, a stroke, an arrow'],
  ['u', 'undo'],
  ['y', 'do again'],
  ['Esc', 'drop what is being drawn'],
  ['?', 'this list']
]

/** @param loaded nothing is commanded before the piece lies on the bench. */
export function useBenchKeys(loaded: Readonly<Ref<boolean>>): { readonly help: Ref<boolean> } {
  const bench = useBenchStore(),
    sight = useSightStore(),
    pencil = usePencilStore(),
    inHand = useInHandStore(),
    edits = useEditsStore(),
    wall = useWallStore()
  const help = ref(false)
  const typing = (event: KeyboardEvent): boolean =>
    event.ctrlKey
    || event.metaKey
    || event.altKey
    || (event.target instanceof HTMLElement
      && event.target.closest('input:not([type="range"]), textarea, select, [contenteditable], [role="dialog"]')
        !== null)

  function goBy(by: 1 | -1): void {
    const at = STATIONS.indexOf(bench.station),
      next = STATIONS[(at + by + STATIONS.length) % STATIONS.length]!
    void navigateTo(`/bench/${bench.piece.id}/${next}`, { replace: true })
  }
  async function nextPiece(): Promise<void> {
    const behind = (after: string): Promise<PiecePage> =>
      api(piecePageSchema, `/submissions?shelf=review&most=1${after}`)
    const here = bench.piece.id,
      next = (await behind(`&after=${here}`)).items[0] ?? (await behind('')).items[0]
    if (next && next.id !== here) await navigateTo(`/bench/${next.id}`)
  }
  const looking: Readonly<Record<string, () => void>> = {
    '.': () => goBy(1),
    ',': () => goBy(-1),
    e: () => void navigateTo(`/bench/${bench.piece.id}/verdict`, { replace: true }),
    '?': () => {
      help.value = true
    },
    n: () => void nextPiece(),
    '+': () => wall.zoomBy(1.25),
    '=': () => wall.zoomBy(1.25),
    '-': () => wall.zoomBy(0.8),
    f: wall.fit,
    s: () => wall.hangAs('stamp'),
    d: () => wall.hangAs('room'),
    x: wall.mirror,
    '[': () => wall.turn(-1),
    ']': () => wall.turn(1),
    r: () => wall.turn(90),
    g: wall.nextGround,
    c: wall.toggleDivider,
    v: () => {
      if (bench.piece.hasReference) wall.nextReference()
    },
    Escape: () => {
      pencil.drop()
      inHand.correction = sight.reshaping = null
    }
  }
  const working: Readonly<Record<string, () => void>> = {
    a: () => void drawFor('lasso'),
    b: () => void drawFor('rectangle'),
    p: () => void drawFor('polygon'),
    u: () => void edits.undo(),
    y: () => void edits.redo(),
    m: () => beginCorrection(),
    i: () => void markBy('point'),
    k: () => void markBy('stroke'),
    j: () => void markBy('arrow')
  }

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (!loaded.value || typing(event)) return
    if (event.key === ' ') {
      if (event.target instanceof HTMLElement && event.target.closest('button, a')) return
      event.preventDefault()
      sight.comparing = true
      return
    }
    const digit = Number(event.key)
    if (digit >= 1) {
      const choice = rowOf(bench.station).lenses(bench.report, bench.standards)[digit - 1]
      if (choice) sight.lens = choice.request
      return
    }
    const command = looking[event.key] ?? (bench.released ? undefined : working[event.key])
    if (!command) return
    event.preventDefault()
    command()
  })
  useEventListener('keyup', (event: KeyboardEvent) => {
    if (event.key === ' ') sight.comparing = false
  })
  useEventListener('blur', () => {
    sight.comparing = false
  })
  return { help }
}
