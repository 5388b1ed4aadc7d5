/**
 * The working process of full-size work: the sheet, the picture at every pixel, the layered file, worksheets printed
 * and read.
 */
import { createHash } from 'node:crypto'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import sharp, { type Sharp } from 'sharp'
import type { PlanPage } from '../../core/exercise/plan/sheet'
import type { PhotoSteps } from '../../core/photo/steps'
import { serve } from './child'
import { decodePicture, oneThread, openPicture, READABLE } from './decode'
import { appliedPicture, openRaster, type LayeredCorrection } from './layers/layers'
import { decodeWork } from './photo'
import type { Progress } from './protocol'
import { packRecord } from './record/zip'
import { makeSheet, type SheetRequest } from './sheet/sheet'
import { makeSlips, type SlipsRequest } from './slips/slips'
import { makeTermSheet, type TermRequest } from './term/term'
import type { Paper } from '../../core/exercise/worksheet/worksheet'
import { readPhoto, readPrinterPages, readSwatchPhoto } from './worksheet/photo'
import { pagesOfScan } from './worksheet/scan'
import {
  printPlan,
  printPrinter,
  printStrip,
  printSwatches,
  printWorksheets,
  type PrinterPages,
  type SwatchPage,
  type WorksheetsRequest
} from './worksheet/print'

export type ExportTask =
  | {
      readonly kind: 'applied' | 'layers'
      /** File that holds it. */ readonly original: string
      /** What is done to it, where it is a photograph of the work. */ readonly steps: PhotoSteps | null
      readonly corrections: readonly LayeredCorrection[]
    }
  | { readonly kind: 'sheet'; readonly display: Uint8Array; readonly sheet: SheetRequest }
export interface ExportRequest {
  readonly task: ExportTask
  /** Where it is written. */ readonly file: string
}

async function made(task: ExportTask, progress: Progress): Promise<Uint8Array> {
  if (task.kind === 'sheet') {
    const outcome = await decodePicture(task.display, READABLE)
    if (outcome.kind === 'refused') throw new Error(outcome.message)
    return makeSheet(task.sheet, outcome.raster, join(import.meta.dirname, 'fonts'))
  }
  const original = await decodeWork(await readFile(task.original), task.steps)
  return (task.kind === 'applied' ? appliedPicture : openRaster)(original, task.corrections, progress)
}

async function make({ task, file }: ExportRequest, progress: Progress): Promise<void> {
  await writeFile(file, await made(task, progress))
}

export interface Upright {
  readonly sha256: string
  readonly mediaType: string
}

/** WebP has no room for a longer side; JPEG has, and PNG where JPEG has no transparency. */
const WEBP_SIDE = 16_383

export interface UprightRequest {
  /** File that holds it. */
  readonly original: string
  /** That the picture is written to. */
  readonly file: string
  readonly steps: PhotoSteps | null
}

interface Opened {
  readonly picture: Sharp
  readonly width: number
  readonly height: number
  readonly hasAlpha: boolean
}
async function opened(bytes: Uint8Array, steps: PhotoSteps | null): Promise<Opened> {
  const { width, height, hasAlpha } = await openPicture(bytes).metadata()
  if (steps) {
    const { data, ...size } = await decodeWork(bytes, steps),
      picture = sharp(data, { raw: { ...size, channels: 4 } })
    return { picture: hasAlpha ? picture : picture.removeAlpha(), ...size, hasAlpha }
  }
  return { picture: openPicture(bytes).rotate().toColourspace('srgb'), width, height, hasAlpha }
}

/** Every pixel of an upload, or of the sheet in it, upright, in sRGB and without metadata: for looking closely. */
export async function upright({ original, file, steps }: UprightRequest): Promise<Upright> {
  const { picture, width, height, hasAlpha } = await opened(await readFile(original), steps)
  const format = Math.max(width, height) <= WEBP_SIDE ? 'webp' : hasAlpha ? 'png' : 'jpeg'
  const encoders = {
    webp: () => picture.webp({ quality: 92, effort: 2 }),
    jpeg: () => picture.jpeg({ quality: 92, chromaSubsampling: '4:4:4' }),
    png: () => picture.png({ compressionLevel: 6 })
  }
  const encoded = await encoders[format]().toBuffer()
  await writeFile(file, encoded)
  return { sha256: createHash('sha256').update(encoded).digest('hex'), mediaType: `image/${format}` }
}

if (process.send) {
  oneThread()
  serve({
    make,
    upright,
    record: packRecord,
    term: (request: TermRequest) => makeTermSheet(request, join(import.meta.dirname, 'fonts')),
    slips: (request: SlipsRequest) => makeSlips(request, join(import.meta.dirname, 'fonts')),
    worksheets: (request: WorksheetsRequest) => printWorksheets(request, join(import.meta.dirname, 'fonts')),
    plan: (request: PlanPage) => printPlan(request, join(import.meta.dirname, 'fonts')),
    photo: readPhoto,
    printerPages: (request: PrinterPages) => printPrinter(request, join(import.meta.dirname, 'fonts')),
    stripPage: (paper: Paper) => printStrip(paper, join(import.meta.dirname, 'fonts')),
    printer: readPrinterPages,
    swatchPage: (request: SwatchPage) => printSwatches(request, join(import.meta.dirname, 'fonts')),
    swatches: readSwatchPhoto,
    scan: pagesOfScan
  })
}
