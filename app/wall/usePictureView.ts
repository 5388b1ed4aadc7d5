/** One picture on a wall of its own: as large as fits, zoomed by the wheel where it points, moved by dragging. */
import { useElementSize, useEventListener } from '@vueuse/core'
import { hang, PLAIN_VIEW, zoomAbout, type Room, type Size } from './frame'

const MARGIN = 34,
  TOP = 18,
  /** What stands under the picture. */
  FOOT = 60

export function usePictureView(element: Readonly<Ref<HTMLElement | undefined>>, size: () => Size | null) {
  const { width, height } = useElementSize(element),
    view = shallowRef(PLAIN_VIEW),
    moving = ref(false)
  const room = computed<Room>(() => ({
    x: MARGIN,
    y: TOP,
    width: Math.max(1, width.value - 2 * MARGIN),
    height: Math.max(1, height.value - TOP - FOOT)
  }))
  useEventListener('pointerup', () => {
    moving.value = false
  })
  return {
    width,
    view,
    moving,
    frame: computed(() => hang(room.value, size() ?? { width: 1, height: 1 }, view.value)),
    zoom(event: WheelEvent) {
      const box = element.value!.getBoundingClientRect(),
        { x, y, width: across, height: down } = room.value
      view.value = zoomAbout(view.value, Math.exp(-event.deltaY / 500), {
        at: [event.clientX - box.left, event.clientY - box.top],
        middle: [x + across / 2, y + down / 2]
      })
    },
    move({ movementX, movementY }: PointerEvent) {
      const { panX, panY } = view.value
      if (moving.value) view.value = { ...view.value, panX: panX + movementX, panY: panY + movementY }
    }
  }
}
