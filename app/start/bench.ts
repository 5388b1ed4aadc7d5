/**
 * The bench and what it stands on, part by part; fetched once, whether asked for by the page or, ahead of it, by the
 * desk.
 */
import { bringPanels } from '~/components/bench/stations/panels'
import { oneByOne } from './oneByOne'

let brought: Promise<typeof import('~/components/bench/BenchScreen.vue')> | null = null

/** Asked again after it could not be fetched, it is fetched again. */
export function bringBench(): NonNullable<typeof brought> {
  brought ??= bring().catch(error => {
    brought = null
    throw error
  })
  return brought
}

async function bring() {
  await oneByOne([
    () => import('~~/core/critique/stations/readings'),
    () => import('~/stores/bench'),
    () => import('~/wall/konva')
  ])
  return import('~/components/bench/BenchScreen.vue')
}

/** Ahead of need, while the page is idle; what cannot be fetched now is asked for again when it is gone to. */
export const bringAhead = (bringing: () => Promise<unknown>): void => {
  requestIdleCallback(() => void bringing().catch(() => {}))
}

/** Long enough that what the hand asks for meanwhile is not kept waiting by one part after another. */
const pause = (): Promise<void> => new Promise(resolve => setTimeout(() => requestIdleCallback(() => resolve()), 150))

/**
 * What the stations bring when they are first gone to, fetched while the piece is being looked at: the heaviest first.
 */
export const bringStations = async (): Promise<void> =>
  oneByOne(
    [
      pause,
      () => import('~/utils/chart'),
      () => import('~/components/critique/RichEditor.vue'),
      ...bringPanels,
      () => import('~/components/bench/corrections/TrialPanel.vue')
    ],
    pause
  )
