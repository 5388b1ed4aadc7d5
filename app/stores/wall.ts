/** How the picture hangs: size, place, turn, ground, and whether the reference hangs beside it. */
import { GREYS } from '~/theme/greys'
import { PLAIN_VIEW, zoomAbout, type Hanging, type WallView } from '~/wall/frame'

export type Ground = 'grey' | 'white' | 'black'
/** The wall's colour for each ground: mid grey is L* 50. */
export const GROUND_COLOUR: Readonly<Record<Ground, string>> = { grey: GREYS.l50, white: GREYS.l100, black: GREYS.l0 }
/** The reference hangs beside the work, or under it and shown while the plain-picture key is held. */
export type Referred = 'off' | 'beside' | 'under'
export const REFERRED: readonly Referred[] = ['off', 'beside', 'under']
const GROUNDS: readonly Ground[] = ['grey', 'white', 'black']

export const useWallStore = defineStore('wall', () => {
  const view = shallowRef<WallView>(PLAIN_VIEW)
  const ground = ref<Ground>('grey')
  const reference = ref<Referred>('off')
  /** Where the line between before and after stands, as a share of the wall; null for none. */
  const divider = ref<number | null>(null)

  /** Wall pixels a pixel of the picture, as it hangs now. */
  const scale = ref(1)

  const change = (part: Partial<WallView>): void => {
    view.value = { ...view.value, ...part }
  }
  return {
    view,
    ground,
    reference,
    divider,
    scale,
    change,
    divide: (at: number) => {
      divider.value = Math.min(0.98, Math.max(0.02, at))
    },
    toggleDivider: () => {
      divider.value = divider.value === null ? 0.5 : null
    },
    /** As large as fits, upright, not mirrored. */
    fit: () => {
      view.value = PLAIN_VIEW
    },
    hangAs: (hanging: Hanging) =>
      change({ hanging: view.value.hanging === hanging ? 'fit' : hanging, zoom: 1, panX: 0, panY: 0 }),
    mirror: () => change({ mirrored: !view.value.mirrored }),
    turn: (byDeg: number) => change({ angleDeg: ((view.value.angleDeg + byDeg + 540) % 360) - 180 }),
    zoomBy: (factor: number) => change(zoomAbout(view.value, factor)),
    nextReference: () => {
      reference.value = REFERRED[(REFERRED.indexOf(reference.value) + 1) % REFERRED.length]!
    },
    nextGround: () => {
      ground.value = GROUNDS[(GROUNDS.indexOf(ground.value) + 1) % GROUNDS.length]!
    }
  }
})
