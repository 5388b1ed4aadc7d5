/** The bench's single keys. Typing in a field is never a command. */
import { useEventListener } from '@vueuse/core'
import { rowOf, STATIONS } from '~~/core/critique/stations/table'
import type { Station } from '~~/core/critique/stations/station'
import { piecePageSchema } from '~~/shared/pieces/submission'

/**
 * A key, or a pair that belongs together, as the list shows it; what it does; what each runs; whether a released
 * critique keeps it from running.
 */
export interface BenchKey {
  readonly shown: string
  readonly does: string
  readonly run?: Readonly<Record<string, () => void>>
  readonly edits?: true
}

const WRITTEN =
  'input:not([type="range"], [type="radio"], [type="checkbox"]), textarea, select, [contenteditable], [role="dialog"]'
/** What space presses; a choice already made has nothing to be pressed for. */
const PRESSED = 'button, a, summary, input:not(:checked)'

/** @param loaded nothing is commanded before the piece lies on the bench. */
export function useBenchKeys(loaded: Readonly<Ref<boolean>>): {
  readonly help: Ref<boolean>
  readonly keys: readonly BenchKey[]
} {
  const bench = useBenchStore(),
    sight = useSightStore(),
    pencil = usePencilStore(),
    inHand = useInHandStore(),
    edits = useEditsStore(),
    wall = useWallStore(),
    sitting = useSittingStore(),
    { drawFor, beginCorrection, markBy } = useDrawFor()
  const help = ref(false)
  const typing = (event: KeyboardEvent): boolean =>
    event.ctrlKey
    || event.metaKey
    || event.altKey
    || (event.target instanceof HTMLElement && event.target.closest(WRITTEN) !== null)

  const goTo = (station: Station): void => void navigateTo(`/bench/${bench.piece.id}/${station}`, { replace: true })
  const goBy = (by: 1 | -1): void =>
    goTo(STATIONS[(STATIONS.indexOf(bench.station) + by + STATIONS.length) % STATIONS.length]!)
  /** The session in which this piece is up. */
  const held = () => (bench.piece.sitting ? sitting : null)
  async function nextPiece(): Promise<void> {
    if (held()) return held()!.step('next')
    const { id: here, ofCall, classId } = bench.piece,
      shelf = ofCall ? `call&classId=${classId}` : 'review&most=1'
    const behind = async (after: string) =>
      (await api(piecePageSchema, `/submissions?shelf=${shelf}${after}`)).items.find(p => p.state === 'waiting')
    const next = (await behind(`&after=${here}`)) ?? (await behind(''))
    if (next && next.id !== here) await navigateTo(`/bench/${next.id}`)
  }
  /** One table for the list on "?" and for what is run. */
  const keys: readonly BenchKey[] = [
    { shown: '.  ,', does: 'next station, the one before', run: { '.': () => goBy(1), ',': () => goBy(-1) } },
    { shown: 'e', does: 'the verdict', run: { e: () => goTo('verdict') } },
    { shown: 'n', does: 'next piece that waits', run: { n: () => void nextPiece() } },
    {
      shown: 'l  z',
      does: 'in a session: leave it for later, park it',
      run: { l: () => void held()?.step('later'), z: () => void held()?.step('park') }
    },
    { shown: '1 … 9', does: 'lens' },
    { shown: 'hold space', does: 'the plain picture' },
    {
      shown: '+  −',
      does: 'closer, farther (or the wheel)',
      run: { '+': () => wall.zoomBy(1.25), '=': () => wall.zoomBy(1.25), '-': () => wall.zoomBy(0.8) }
    },
    { shown: 'f', does: 'as large as fits', run: { f: wall.fit } },
    {
      shown: 's  d',
      does: 'as a stamp, from across the room',
      run: { s: () => wall.hangAs('stamp'), d: () => wall.hangAs('room') }
    },
    { shown: 'x', does: 'mirrored', run: { x: wall.mirror } },
    {
      shown: '[  ]  r',
      does: 'turned by one degree, by a quarter',
      run: { '[': () => wall.turn(-1), ']': () => wall.turn(1), r: () => wall.turn(90) }
    },
    { shown: 'g', does: 'ground: grey, white, black', run: { g: wall.nextGround } },
    { shown: 'c', does: 'a line between before and after', run: { c: wall.toggleDivider } },
    {
      shown: 'v',
      does: 'reference: off, beside, under (then hold space)',
      run: { v: () => bench.piece.hasReference && wall.nextReference() }
    },
    {
      shown: 'a  b  p',
      does: 'draw an area by hand, a box, corner by corner',
      edits: true,
      run: {
        a: () => void drawFor('lasso'),
        b: () => void drawFor('rectangle'),
        p: () => void drawFor('polygon')
      }
    },
    {
      shown: 'arrows',
      does:
        'move the picture; while drawing, the cross (space sets it down, Enter closes);'
        + ' while reshaping, the area (+ − grow it)'
    },
    { shown: 'm', does: 'mark a correction', edits: true, run: { m: () => beginCorrection() } },
    {
      shown: 'i  k  j',
      does: 'mark it by a point, a stroke, an arrow',
      edits: true,
      run: { i: () => void markBy('point'), k: () => void markBy('stroke'), j: () => void markBy('arrow') }
    },
    {
      shown: 'u  y',
      does: 'undo, do again',
      edits: true,
      run: { u: () => void edits.undo(), y: () => void edits.redo() }
    },
    {
      shown: 'Esc',
      does: 'drop what is being drawn or written, put the reading down',
      run: {
        Escape: () => {
          pencil.drop()
          inHand.correction = sight.reshaping = inHand.sheet = null
          if (inHand.reading) inHand.put()
        }
      }
    },
    {
      shown: '?',
      does: 'this list',
      run: {
        '?': () => {
          help.value = true
        }
      }
    }
  ]
  const commandOf = (pressed: string): (() => void) | undefined =>
    keys.find(({ run, edits: changes }) => run && pressed in run && !(changes && bench.released))?.run?.[pressed]

  useEventListener('keydown', (event: KeyboardEvent) => {
    if (!loaded.value || typing(event)) return
    if (event.key === ' ') {
      if (event.target instanceof HTMLElement && event.target.closest(PRESSED)) return
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
    const command = commandOf(event.key)
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
  return { help, keys }
}
