/** The working process of pictures: taking a hand-in's file apart, and measuring a stored picture. */
import { createHash } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import sharp, { type Sharp } from 'sharp'
import { checkHandIn, type CheckResult, type ExerciseKey } from '../../core/exercise'
import { hueHistogram } from '../../core/measure/hues'
import { measurePicture, type Source } from '../../core/measure/picture'
import type { Report } from '../../core/measure/report'
import { planesOf } from '../../core/picture/planes'
import type { Raster } from '../../core/picture/raster'
import type { WheelName } from '../../core/wheel/steps'
import { PICTURE_LIMITS } from '../../shared/submission'
import { serve } from './child'
import { blockOtherLoaders, decodePicture, oneThread, READABLE, type Refusal } from './decode'

export interface Stored { readonly sha256: string, readonly mediaType: string, readonly bytes: Uint8Array }
export interface Ingested {
  readonly kind: 'ingested'
  readonly source: Source
  readonly originalSha: string
  /** The working raster, lossless, so that every later measurement sees the same pixels. */
  readonly display: Stored
  readonly thumb: Stored
}

const THUMB_EDGE = 480

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')
const stored = (bytes: Buffer, mediaType: string): Stored => ({ sha256: sha256(bytes), mediaType, bytes })

function encoder({ width, height, data }: Raster): Sharp {
  return sharp(data, { raw: { width, height, channels: 4 } })
}

/** Decodes an upload and makes its sizes, none of which carries any metadata. */
export async function ingest({ file }: { file: string }): Promise<Ingested | Refusal> {
  const bytes = await readFile(file), outcome = await decodePicture(bytes, PICTURE_LIMITS)
  if (outcome.kind === 'refused') return outcome
  const { raster, source } = outcome
  const display = await encoder(raster).png({ compressionLevel: 6 }).toBuffer()
  const thumb = await encoder(raster).resize(THUMB_EDGE, THUMB_EDGE, { fit: 'inside', withoutEnlargement: true }).webp({ quality: 86 }).toBuffer()
  return { kind: 'ingested', source, originalSha: sha256(bytes), display: stored(display, 'image/png'), thumb: stored(thumb, 'image/webp') }
}

export interface MeasureRequest {
  readonly display: Uint8Array
  readonly source: Source
  readonly wheel: WheelName
  readonly exercise: ExerciseKey | null
}

/** Measures a stored display picture, and checks it when it answers an exercise. */
export async function measure({ display, source, wheel, exercise }: MeasureRequest): Promise<{ report: Report, checks: CheckResult[] | null }> {
  const outcome = await decodePicture(display, READABLE)
  if (outcome.kind === 'refused') throw new Error(outcome.message)
  const { raster } = outcome
  const report = measurePicture(raster, source, { wheel })
  if (exercise === null) return { report, checks: null }
  // Exercises are set on the painter wheel, whatever wheel the critique looks through.
  return { report, checks: checkHandIn(exercise, { report, hues: hueHistogram(raster, planesOf(raster), 'painter') }) }
}

if (process.send) {
  oneThread()
  blockOtherLoaders(PICTURE_LIMITS.formats)
  serve({ ingest, measure })
}
