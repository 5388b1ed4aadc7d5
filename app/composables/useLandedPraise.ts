/** What was marked on the version before the piece on the bench, and landed: a sentence each, to praise first. */
import { believed } from '~~/core/compare/outcome'
import { praiseWords } from '~~/core/compare/words'
import { comparedSchema } from '~~/shared/pieces/versions'

export function useLandedPraise() {
  const bench = useBenchStore(),
    { id, earlierId } = bench.piece
  const { data } = useApiData(comparedSchema, earlierId === null ? null : `/submissions/${id}/over/${earlierId}`)
  return computed(() => {
    if (!data.value) return []
    const { corrections, comparison } = data.value,
      { landed } = believed(comparison)
    return corrections.flatMap(({ correction: { what, target }, word }, i) => {
      const its = landed[i]!
      return (word ?? its.landing) === 'reached' ? [praiseWords(what, target, its)] : []
    })
  })
}
