/** A scan as PDF: each page becomes a picture, as fine as what was scanned. */
import { readFile, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { PDFDocumentProxy, PDFPageProxy } from 'pdfjs-dist'
import sharp from 'sharp'
import type { Progress } from '../protocol'

/** A class with a sheet each, and a few to spare. */
const MOST_PAGES = 60
/** Pixels a point: 150 dots an inch where a page holds no picture, so much at most where it does. */
const PLAIN_SCALE = 150 / 72,
  MOST_PIXELS = 30e6

export interface ScanRequest {
  readonly file: string
  /** Files to come, one for each page, are written as this with a number behind it. */
  readonly into: string
}
export type ScanOutcome =
  { readonly kind: 'pages'; readonly files: readonly string[] } | { readonly kind: 'refused'; readonly message: string }

type Pdf = typeof import('pdfjs-dist')
type Canvas = typeof import('@napi-rs/canvas')

async function opened({ getDocument }: Pdf, file: string): Promise<PDFDocumentProxy> {
  return getDocument({
    data: new Uint8Array(await readFile(file)),
    // What comes from a stranger is drawn, never run, and asks for nothing from elsewhere.
    isEvalSupported: false,
    useSystemFonts: false,
    disableFontFace: true,
    wasmUrl: join(dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json')), 'wasm/'),
    verbosity: 0
  }).promise
}

/** The page at the pixels of its largest picture, so that nothing of a scan is lost. */
async function drawn({ OPS, createCanvas }: Pdf & Canvas, page: PDFPageProxy): Promise<Buffer> {
  const { fnArray, argsArray } = await page.getOperatorList(),
    sides = fnArray.flatMap((op, i) => {
      const [, width, height] = op === OPS.paintImageXObject ? (argsArray[i] as [string, number, number]) : [0, 0, 0]
      return width ? [Math.max(width, height)] : []
    })
  const { width, height } = page.getViewport({ scale: 1 }),
    fine = Math.max(PLAIN_SCALE, Math.max(0, ...sides) / Math.max(width, height)),
    viewport = page.getViewport({ scale: Math.min(fine, Math.sqrt(MOST_PIXELS / (width * height))) })
  const canvas = createCanvas(Math.round(viewport.width), Math.round(viewport.height))
  await page.render({ canvas: canvas as never, viewport }).promise
  const raw = { width: canvas.width, height: canvas.height, channels: 4 as const }
  try {
    // These bytes are the canvas's own, and go with it: it is used after them, so that nobody takes it away meanwhile.
    return await sharp(canvas.data(), { raw }).removeAlpha().png({ compressionLevel: 2 }).toBuffer()
  } finally {
    canvas.width = canvas.height = 0
  }
}

const refusals: Readonly<Record<string, string>> = {
  PasswordException: 'This PDF is locked with a password: save it without one.',
  InvalidPDFException: 'This PDF is damaged: scan it again.'
}

export async function pagesOfScan({ file, into }: ScanRequest, progress?: Progress): Promise<ScanOutcome> {
  // Large, and seldom asked for.
  const pdf: Pdf & Canvas = {
    ...(await import('pdfjs-dist/legacy/build/pdf.mjs')),
    ...(await import('@napi-rs/canvas'))
  }
  try {
    const scan = await opened(pdf, file),
      { numPages } = scan
    if (numPages > MOST_PAGES) {
      const message = `This PDF has ${numPages} pages; at most ${MOST_PAGES} are read at once.`
      return { kind: 'refused', message }
    }
    const files: string[] = []
    for (let n = 1; n <= numPages; n++) {
      const page = await scan.getPage(n)
      files.push(`${into}-${n}`)
      await writeFile(files.at(-1)!, await drawn(pdf, page))
      page.cleanup()
      progress?.(n / numPages)
    }
    return { kind: 'pages', files }
  } catch (error) {
    const message = refusals[(error as Error).name]
    if (message) return { kind: 'refused', message }
    throw error
  }
}
