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

/** A learner's own latest pieces; none for whoever hands nothing in. */
export function ownPictures() {
  const { account } = useSessionStore()
  const { data, problem } = useApiData(piecePageSchema, account && learns(account) ? '/submissions' : null)
  return {
    problem,
    data: computed(
      () =>
        data.value?.items.map(({ id, title }) => ({ id, title, src: `/api/submissions/${id}/picture/display` })) ?? []
    )
  }
}
