/** What was tried, kept: a learner's as a study, which goes with the piece it led to; anybody's as a picture. */
import { keptStudySchema } from '~~/shared/pieces/study'

/** @param draw puts the study on a canvas of its own size. */
export async function pictureOf(
  { width, height }: { readonly width: number; readonly height: number },
  draw: (context: OffscreenCanvasRenderingContext2D) => void
): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  draw(canvas.getContext('2d')!)
  return canvas.convertToBlob({ type: 'image/png' })
}

export async function keepAsStudy(picture: Blob): Promise<void> {
  const body = new FormData()
  body.append('minutes', '')
  body.append('picture', new File([picture], 'study.png', { type: 'image/png' }))
  await api(keptStudySchema, '/studies', { method: 'POST', body })
}

export const takeAsPicture = (picture: Blob, name: string): void => giveFile(picture, `${name}.png`)
