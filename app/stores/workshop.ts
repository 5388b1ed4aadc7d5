/** The workshop: own paints, the swatch book, the class's lists; what is in hand on its page. */
import { z } from 'zod'
import type { WheelName } from '~~/core/wheel/steps'
import {
  workshopSchema,
  type KeptPaint,
  type KeptSwatch,
  type PaintInput,
  type SetList,
  type SwatchInput
} from '~~/shared/workshop'

/** What is asked of the paints: what they give, or one of what the work asks for. */
export const WORKSHOP_ASKS = ['mixture', 'muted', 'dark', 'mud', 'wheel', 'shadow'] as const
export type WorkshopAsk = (typeof WORKSHOP_ASKS)[number]

export const useWorkshopStore = defineStore('workshop', () => {
  const paints = shallowRef<readonly KeptPaint[]>([]),
    swatches = shallowRef<readonly KeptSwatch[]>([]),
    lists = shallowRef<readonly SetList[]>([]),
    wheel = ref<WheelName>('painter'),
    loaded = ref(false)
  const { problem, busy, act } = useAct()
  async function load(): Promise<void> {
    const read = await api(workshopSchema, '/workshop')
    wheel.value = read.wheel
    paints.value = read.paints
    swatches.value = read.swatches
    lists.value = read.lists
    loaded.value = true
  }
  /** Sent, and read again as it is then. @returns whether it went well. */
  const change = (path: string, method: 'POST' | 'PUT' | 'DELETE', body?: unknown): Promise<boolean> =>
    act(async () => {
      await api(z.looseObject({}), path, { method, body })
      await load()
    })

  /** What was taken out last: a slip of the hand is made good by putting it back. */
  const out = shallowRef<{ readonly name: string; readonly back: () => Promise<boolean> } | null>(null)
  const backIn = (path: string, body: unknown) => async (): Promise<boolean> => {
    const done = await change(path, 'POST', body)
    if (done) out.value = null
    return done
  }
  async function drop(paint: KeptPaint): Promise<void> {
    if (await change(`/workshop/paints/${paint.id}`, 'DELETE'))
      out.value = { name: paint.name, back: backIn('/workshop/paints', { paints: [paint] }) }
  }
  async function dropSwatch(swatch: KeptSwatch): Promise<void> {
    if (await change(`/workshop/swatches/${swatch.id}`, 'DELETE'))
      out.value = { name: swatch.note || 'the swatch', back: backIn('/workshop/swatches', swatch) }
  }

  const ask = ref<WorkshopAsk>('mixture'),
    /** Parts of the mixture, by the ids of their paints. */
    parts = ref<Readonly<Record<number, number>>>({}),
    /** The paint that is asked about where one is. */
    chosen = ref<number | null>(null),
    wanted = ref<string | null>(null)
  const inMixture = computed(() =>
    paints.value.flatMap(paint => (parts.value[paint.id] ? [{ paint, amount: parts.value[paint.id]! }] : []))
  )
  return {
    paints,
    swatches,
    lists,
    wheel,
    loaded,
    problem,
    busy,
    load: () => act(load),
    add: (some: readonly PaintInput[]) => change('/workshop/paints', 'POST', { paints: some }),
    set: (id: number, paint: PaintInput) => change(`/workshop/paints/${id}`, 'PUT', paint),
    drop,
    out,
    keep: (swatch: SwatchInput) => change('/workshop/swatches', 'POST', swatch),
    note: (id: number, note: string) => change(`/workshop/swatches/${id}`, 'PUT', { note }),
    forgetRead: (id: number) => change(`/workshop/swatches/${id}`, 'PUT', { read: null }),
    dropSwatch,
    setList: (classId: number, some: readonly PaintInput[]) =>
      change(`/classes/${classId}/paints`, 'PUT', { paints: some }),
    ask,
    parts,
    chosen,
    wanted,
    inMixture
  }
})
