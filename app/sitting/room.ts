/**
 * The room's window: what hangs, seen through the lens, with its marks, and nothing else. The bench tells it over a
 * channel within the browser; it asks for all of it when it opens.
 */
import { useBroadcastChannel } from '@vueuse/core'
import type { LensRequest } from '~~/core/lens/lens'
import type { Critique } from '~~/shared/critique'
import type { Point } from '~~/shared/notes'
import type { Submission } from '~~/shared/pieces/submission'
import type { Ground, Referred } from '~/stores/wall'
import type { WallView } from '~/wall/frame'

/** What hangs: without its readings, and without a name that may not be said. */
export interface RoomPiece {
  readonly kind: 'piece'
  readonly piece: Submission
  readonly critique: Critique
  readonly by: string | null
}
/** How it is seen. `view` is panned by pixels of the picture, since the room's wall has another size. */
export interface RoomSight {
  readonly kind: 'sight'
  readonly station: ReturnType<typeof useBenchStore>['station']
  readonly lens: LensRequest
  readonly comparing: boolean
  readonly trials: ReturnType<typeof useSightStore>['trials']
  readonly points: ReturnType<typeof useSightStore>['points']
  readonly silhouette: ReturnType<typeof useSightStore>['silhouette']
  readonly sketch: ReturnType<typeof usePencilStore>['sketch']
  readonly marking: ReturnType<typeof usePencilStore>['marking']
  readonly written: ReturnType<typeof useInHandStore>['correction']
  readonly view: WallView
  readonly ground: Ground
  readonly reference: Referred
  readonly divider: number | null
}
export interface RoomPointer {
  readonly kind: 'pointer'
  readonly at: Point | null
}
/** Nothing hangs: a pause, or all is done. */
export interface RoomCurtain {
  readonly kind: 'curtain'
  readonly call: string
  readonly words: string
}
export type RoomTold = RoomPiece | RoomSight | RoomPointer | RoomCurtain | { readonly kind: 'asked' }

export const useRoomChannel = (sittingId: number) =>
  useBroadcastChannel<RoomTold, RoomTold>({ name: `critica-room-${sittingId}` })

export function openRoom(sittingId: number): void {
  window.open(pageAt(`/room/${sittingId}`), 'critica-room', 'popup,width=1280,height=800')
}
