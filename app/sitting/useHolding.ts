/** A session of a call in front of others is begun, or the open one gone on with. */
import { createdSchema } from '~~/shared/pieces/submission'

export function useHolding(callId: number) {
  const { problem, busy, act } = useAct()
  return {
    problem,
    busy,
    hold: () =>
      act(async () => {
        const { id } = await api(createdSchema, `/calls/${callId}/sittings`, { method: 'POST' })
        await navigateTo(`/session/${id}`)
      })
  }
}
