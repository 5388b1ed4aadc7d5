/** The session in front of others that is being held: what is up, what its clock says, and the steps through it. */
import { useIntervalFn } from '@vueuse/core'
import { z } from 'zod'
import { sittingSchema, type Sitting, type SittingStep } from '~~/shared/sitting'

type Done = Extract<SittingStep, { step: unknown }>['step']

export const useSittingStore = defineStore('sitting', () => {
  const sitting = shallowRef<Sitting | null>(null)
  /** When it was read last: the clock runs from what the server said then. */
  const readAt = ref(0),
    now = ref(0)
  const { problem, busy, act } = useAct()
  useIntervalFn(() => {
    now.value = performance.now()
  }, 1000)

  async function open(id: number): Promise<void> {
    sitting.value = await api(sittingSchema, `/sittings/${id}`)
    readAt.value = now.value = performance.now()
  }
  const piece = computed(() => sitting.value?.pieces.find(p => p.id === sitting.value!.up) ?? null)
  const seconds = computed(() =>
    piece.value ? piece.value.seconds + (sitting.value!.paused ? 0 : Math.floor((now.value - readAt.value) / 1000)) : 0
  )
  const waiting = computed(() => sitting.value?.pieces.filter(p => p.standing === 'waiting') ?? [])

  /** @returns the piece that is up then; undefined where it did not go well, and `problem` says why. */
  async function send(body: Record<string, unknown>): Promise<number | null | undefined> {
    const { id, up } = sitting.value!
    let next: number | null | undefined
    await act(async () => {
      const answer = await api(z.object({ up: z.int().nullable() }), `/sittings/${id}/step`, {
        method: 'POST',
        body: { up, ...body }
      })
      await open(id)
      next = answer.up
    })
    return next
  }
  /** Goes on with what is up then: to its bench, or to the list when nothing waits any more. */
  async function go(up: number | null | undefined): Promise<void> {
    if (up === undefined) return
    await navigateTo(up === null ? `/session/${sitting.value!.id}` : `/bench/${up}`)
  }
  return {
    sitting,
    piece,
    seconds,
    waiting,
    problem,
    busy,
    open,
    /** To what is up, its clock running; or to the first that waits. */
    async goOn(): Promise<void> {
      if (!piece.value) return go(await send({ pick: waiting.value[0]!.id }))
      if (sitting.value!.paused) await send({ step: 'go-on' })
      await go(piece.value.id)
    },
    step: async (step: 'next' | 'later' | 'park') => go(await send({ step })),
    pause: (step: Extract<Done, 'pause' | 'go-on'>) => send({ step }),
    pick: async (id: number) => go(await send({ pick: id }))
  }
})

/** "4:05", minutes and seconds. */
export const clockWords = (seconds: number): string =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
