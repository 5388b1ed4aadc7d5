/** Pictures that colours are picked off: files, and one's own pieces. */
import { fitWithin } from '~~/core/picture/resample'
import { piecePageSchema } from '~~/shared/pieces/submission'

/** Long edge that places are picked on. */
const EDGE = 900

/** @returns its pixels, small; the browser lays it the right way up. @throws where it is no picture. */
export async function decodeSmall(blob: Blob): Promise<ImageData> {
  const bitmap = await createImageBitmap(blob),
    { width, height } = fitWithin(bitmap.width, bitmap.height, EDGE),
    canvas = new OffscreenCanvas(width, height),
    context = canvas.getContext('2d')!
  context.imageSmoothingQuality = 'high'
  context.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  return context.getImageData(0, 0, width, height)
}

/** One's own pieces that are offered: older ones can be brought as files. */
const LATEST = 12
const sourceOf = (id: number): string => apiAt(`/submissions/${id}/picture/display`)

/** The piece that one came from, and a learner's own latest ones; whoever hands nothing in has none of those. */
export function ownPictures() {
  const { account } = useSessionStore(),
    { query } = useRoute(),
    from = typeof query.piece === 'string' && /^\d+$/.test(query.piece) ? Number(query.piece) : null
  const { data, problem } = useApiData(
    piecePageSchema,
    account && learns(account) ? `/submissions?most=${LATEST}` : null
  )
  return {
    problem,
    data: computed(() => [
      ...(from === null ? [] : [{ id: from, title: 'The piece you came from', src: sourceOf(from) }]),
      ...(data.value?.items.flatMap(({ id, title }) => (id === from ? [] : [{ id, title, src: sourceOf(id) }])) ?? [])
    ])
  }
}
