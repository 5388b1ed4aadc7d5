/** What the bench tells the room's window while its piece is up in a session. */
import type { Point } from '~~/shared/notes'
import { useRoomChannel, type RoomSight, type RoomTold } from './room'

export function useRoomFeed(sittingId: number): { readonly pointAt: (at: Point | null) => void } {
  const bench = useBenchStore(),
    sight = useSightStore(),
    pencil = usePencilStore(),
    inHand = useInHandStore(),
    wall = useWallStore(),
    sitting = useSittingStore()
  const { post, data } = useRoomChannel(sittingId)

  const shown = (): RoomTold => {
    const { sitting: held, piece } = sitting
    if (held?.paused) return { kind: 'curtain', call: held.call, words: 'A short pause.' }
    const by = piece?.by ?? null
    return {
      kind: 'piece',
      piece: { ...bench.piece, learner: { id: 0, name: by ?? '' }, className: '' },
      critique: { ...bench.critique, readings: [], works: '', verdict: '', questionBack: '', answer: '', score: null },
      by
    }
  }
  const seen = (): RoomSight => ({
    kind: 'sight',
    station: bench.station,
    lens: sight.lens,
    comparing: sight.comparing,
    trials: sight.trials,
    points: sight.points,
    silhouette: sight.silhouette,
    sketch: pencil.sketch,
    marking: pencil.marking,
    written: inHand.correction,
    view: { ...wall.view, panX: wall.view.panX / wall.scale, panY: wall.view.panY / wall.scale },
    ground: wall.ground,
    reference: wall.reference,
    divider: wall.divider
  })
  /** Everything of it is plain data, some of it held by proxies, which cannot be sent. */
  const tell = (told: RoomTold): void => post(JSON.parse(JSON.stringify(told)) as RoomTold)
  function all(): void {
    tell(shown())
    tell(seen())
  }
  watch(shown, tell)
  watch(seen, tell)
  watch(data, asked => {
    if (asked?.kind === 'asked') all()
  })
  // The channel is open once this is mounted.
  onMounted(all)
  return { pointAt: at => tell({ kind: 'pointer', at }) }
}
