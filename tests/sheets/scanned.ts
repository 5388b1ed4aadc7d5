/** Pages as a flatbed with a feeder keeps them: one PDF, each page a picture that fills it. */
import sharp from 'sharp'
import { writePdf } from '../../server/work/pdf'

export async function scanned(pages: readonly Buffer[]): Promise<Buffer> {
  const sizes = await Promise.all(pages.map(page => sharp(page).metadata())),
    width = 595
  return writePdf(
    {
      pageSize: { width, height: (width * sizes[0]!.height) / sizes[0]!.width },
      pageMargins: 0,
      content: pages.map((page, i) => ({
        image: `data:image/jpeg;base64,${page.toString('base64')}`,
        width,
        ...(i ? { pageBreak: 'before' as const } : {})
      }))
    },
    import.meta.dirname
  )
}
