/**
 * What stands at each station, from top to bottom: its sentences, the areas drawn, and its own instruments from the
 * folder of its name. Instruments are fetched when their station is first gone to, and ahead of it while the piece is
 * looked at (`bringPanels`).
 */
import type { Component } from 'vue'
import type { Station } from '~~/core/critique/stations/station'

type Bring = () => Promise<{ readonly default: Component }>

export type Part = 'readings' | 'areas' | Component

interface Panel {
  readonly parts: readonly ('readings' | 'areas' | Bring)[]
  /** It is of use before the piece is measured. */
  readonly unmeasured?: true
}

const PANELS: Readonly<Record<Station, Panel>> = {
  'first-look': {
    parts: [
      () => import('./first-look/FirstLookPanel.vue'),
      'readings',
      () => import('./first-look/FirstThingsSeen.vue')
    ]
  },
  values: { parts: ['readings', 'areas', () => import('./values/ValuesPanel.vue')] },
  focus: {
    parts: [() => import('./focus/FocusAbout.vue'), 'readings', 'areas', () => import('./focus/FocusPanel.vue')]
  },
  temperature: { parts: [() => import('./temperature/TemperaturePanel.vue'), 'readings', 'areas'] },
  harmony: {
    parts: [
      () => import('./harmony/HarmonyWheel.vue'),
      () => import('./harmony/PlannedColours.vue'),
      'readings',
      () => import('./harmony/HarmonyAmounts.vue'),
      'areas'
    ]
  },
  light: { parts: [() => import('./light/LightPanel.vue'), 'readings', 'areas'] },
  edges: { parts: ['readings', 'areas', () => import('./edges/EdgesPanel.vue')] },
  verdict: {
    parts: [() => import('../FirstThings.vue'), () => import('./verdict/VerdictPanel.vue')],
    unmeasured: true
  }
}

const made = new Map<Bring, Component>()
function componentOf(bring: Bring): Component {
  const component = made.get(bring) ?? defineAsyncComponent(bring)
  made.set(bring, component)
  return component
}

export const partsOf = (station: Station): Part[] =>
  PANELS[station].parts.map(part => (typeof part === 'function' ? componentOf(part) : part))

export const worksUnmeasured = (station: Station): boolean => PANELS[station].unmeasured ?? false

/** Every station's instruments, in the order of the route. */
export const bringPanels: readonly Bring[] = Object.values(PANELS).flatMap(({ parts }) =>
  parts.filter(part => typeof part === 'function')
)
