/** The bench and what it stands on, part by part; fetched once, whether asked for by the page or, ahead of it, by the desk. */
import { inTurn } from './inTurn'

let brought: Promise<typeof import('~/components/bench/BenchScreen.vue')> | null = null

/** Asked again after it could not be fetched, it is fetched again. */
export function bringBench(): NonNullable<typeof brought> {
  brought ??= bring().catch((error) => {
    brought = null
    throw error
  })
  return brought
}

async function bring() {
  await inTurn([() => import('~~/core/critique/readings'), () => import('~/stores/bench'), () => import('~/wall/konva')])
  return import('~/components/bench/BenchScreen.vue')
}

/** Ahead of need, while the page is idle; what cannot be fetched now is asked for again when it is gone to. */
export const bringAhead = (bringing: () => Promise<unknown>): void => { requestIdleCallback(() => void bringing().catch(() => {})) }

/** Long enough that what the hand asks for meanwhile is not kept waiting by one part after another. */
const pause = (): Promise<void> => new Promise(resolve => setTimeout(() => requestIdleCallback(() => resolve()), 150))

/** What the stations bring when they are first gone to, fetched while the piece is being looked at: the heaviest first. */
export const bringStations = (): Promise<void> => inTurn([
  pause,
  () => import('~/composables/chart'), () => import('~/components/bench/HarmonyInstrument.vue'), () => import('~/components/critique/RichEditor.vue'), () => import('~/components/bench/VerdictPanel.vue'),
  () => import('~/components/bench/FirstLookPanel.vue'), () => import('~/components/bench/ValuesPanel.vue'), () => import('~/components/bench/FocusPanel.vue'), () => import('~/components/bench/TemperaturePanel.vue'),
  () => import('~/components/bench/LightPanel.vue'), () => import('~/components/bench/EdgesPanel.vue'), () => import('~/components/bench/TrialPanel.vue')
], pause)
