/** The bench and what it stands on, part by part; fetched once, whether asked for by the page or, ahead of it, by the desk. */
import { inTurn } from './inTurn'

let brought: Promise<typeof import('~/components/bench/BenchScreen.vue')> | null = null

export const bringBench = (): NonNullable<typeof brought> => (brought ??= bring())

async function bring() {
  await inTurn([() => import('~~/core/critique/readings'), () => import('~/stores/bench'), () => import('~/wall/konva')])
  return import('~/components/bench/BenchScreen.vue')
}

/** What the stations bring when they are first gone to, fetched while the piece is being looked at. */
export const bringStations = (): Promise<void> => inTurn([
  () => import('~/components/bench/FirstLookPanel.vue'), () => import('~/components/bench/ValuesPanel.vue'), () => import('~/components/bench/FocusPanel.vue'), () => import('~/components/bench/TemperaturePanel.vue'),
  () => import('~/composables/chart'), () => import('~/components/bench/HarmonyInstrument.vue'), () => import('~/components/bench/LightPanel.vue'), () => import('~/components/bench/EdgesPanel.vue'),
  () => import('~/components/critique/RichEditor.vue'), () => import('~/components/bench/VerdictPanel.vue'), () => import('~/components/bench/TrialPanel.vue')
])
