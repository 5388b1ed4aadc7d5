/** Edits of what is marked on the picture: areas and corrections. */
import type { Area } from '~~/core/picture/area'
import type { Correction, CorrectionWritten, Critique, MarkedArea } from '~~/shared/critique'
import { still, type Steps } from './steps'

const wordsOf = ({ what, reason, todo }: CorrectionWritten): string =>
  [what, reason !== what && reason, todo].filter(Boolean).join('\n')

export function editsOfMarks({ send, step, create, remove, replace }: Steps, critique: () => Critique) {
  return {
    addArea: (name: string, area: Area) => create('/areas', { name, area }),
    removeArea: ({ id, name, area }: MarkedArea) => remove('/areas', id, { name, area }),
    changeArea: (id: number, next: { name: string; area: Area }) =>
      replace<typeof next, MarkedArea>({
        what: 'an area',
        words: ({ name }) => name,
        current: () => still(critique().areas, id),
        mine: () => next,
        put: (to, over) => send('PUT', `/areas/${id}`, { ...to, over })
      }),
    addCorrection: (input: CorrectionWritten) => create('/corrections', input),
    removeCorrection: ({ id, ...input }: Correction) => remove('/corrections', id, input),
    changeCorrection: (id: number, input: CorrectionWritten, seen?: Correction) =>
      replace<CorrectionWritten, Correction>({
        what: 'a correction',
        words: wordsOf,
        current: () => still(critique().corrections, id),
        mine: () => input,
        put: (to, over) => send('PUT', `/corrections/${id}`, { ...to, over }),
        seen
      }),
    orderCorrections(order: number[]) {
      const before = critique().corrections.map(c => c.id)
      const put = (ids: number[]) => send('PUT', '/corrections/order', { order: ids })
      return step({ redo: () => put(order), undo: () => put(before) })
    }
  }
}
