/** The working process of pictures: taking a hand-in's file apart, and measuring a stored picture. */
import { createHash } from 'node:crypto'
import { readFile, writeFile } from 'node:fs/promises'
import sharp, { type Sharp } from 'sharp'
import { compareVersions, type Asked } from '../../core/compare/compare'
import type { Comparison } from '../../core/compare/outcome'
import type { PieceKnown } from '../../core/critique/piece/known'
import { measurePiece, type PieceMeasures } from '../../core/critique/piece/measure'
import type { HouseStandards } from '../../core/critique/standards'
import { checkHandIn, type CheckResult, type Settings, type WhatIsSet } from '../../core/exercise'
import { evidenceOf } from '../../core/exercise/evidence'
import type { Plan } from '../../core/exercise/plan/plan'
import { renderLens } from '../../core/lens/lens'
import { hueHistogram } from '../../core/measure/harmony/hues'
import { measureHarmony } from '../../core/measure/harmony/harmony'
import type { Source } from '../../core/measure/source'
import type { Point } from '../../core/numeric/homography'
import { planesOf } from '../../core/picture/planes'
import type { PhotoSteps } from '../../core/photo/steps'
import { WORKING_EDGE, type Raster } from '../../core/picture/raster'
import { PICTURE_LIMITS } from '../../shared/pieces/submission'
import { bareOf } from './bare/bare'
import { serve } from './child'
import { blockOtherLoaders, decodePicture, oneThread, READABLE, type Refusal } from './decode'
import { letter } from './letter/letter'
import type { PhotoTold } from '../../shared/pieces/photo'
import { correctedWork } from './photo'
import type { Progress } from './protocol'

export interface Stored {
  readonly sha256: string
  readonly mediaType: string
  readonly bytes: Uint8Array
}
export interface Ingested {
  readonly kind: 'ingested'
  readonly source: Source
  readonly originalSha: string
  /** The working raster, lossless, so that every later measurement sees the same pixels. */
  readonly display: Stored
  readonly thumb: Stored
  /** What came of the steps; null where none were asked for. */
  readonly told: PhotoTold | null
}

export interface IngestRequest {
  readonly file: string
  /** What is done to the photograph. */
  readonly steps: PhotoSteps | null
}

const THUMB_EDGE = 480

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex')
const stored = (bytes: Buffer, mediaType: string): Stored => ({ sha256: sha256(bytes), mediaType, bytes })

function encoder({ width, height, data }: Raster): Sharp {
  return sharp(data, { raw: { width, height, channels: 4 } })
}

/** Decodes an upload and makes its sizes; the file itself is left as it is kept: none of them carries any metadata. */
export async function ingest({ file, steps }: IngestRequest): Promise<Ingested | Refusal> {
  const bytes = await readFile(file),
    outcome = await decodePicture(bytes, PICTURE_LIMITS)
  if (outcome.kind === 'refused') return outcome
  const corrected = steps ? await correctedWork(bytes, steps, WORKING_EDGE) : null
  if (corrected?.kind === 'refused') return corrected
  const raster = corrected?.raster ?? outcome.raster,
    // A sheet has fewer pixels than the photograph that it lies in.
    source = corrected ? { ...outcome.source, ...corrected.own } : outcome.source,
    original = await bareOf(bytes)
  await writeFile(file, original)
  const display = await encoder(raster).png({ compressionLevel: 6 }).toBuffer()
  const thumb = await encoder(raster)
    .resize(THUMB_EDGE, THUMB_EDGE, { fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 86 })
    .toBuffer()
  return {
    kind: 'ingested',
    source,
    originalSha: sha256(original),
    display: stored(display, 'image/png'),
    thumb: stored(thumb, 'image/webp'),
    told: corrected?.told ?? null
  }
}

/** An original that was kept before metadata was taken out at the door: rewritten in its file. @returns its hash. */
export async function strip({ file }: { file: string }): Promise<string> {
  const original = await bareOf(await readFile(file))
  await writeFile(file, original)
  return sha256(original)
}

/** An exercise as it was set to somebody. @property studies kept before the piece. */
export interface ExerciseToCheck extends WhatIsSet {
  readonly settings: Settings
  readonly plan: Plan | null
  readonly studies: number
}

export interface MeasureRequest {
  readonly display: Uint8Array
  /** Display size of the picture that the piece was made from. */
  readonly reference: Uint8Array | null
  readonly source: Source
  readonly known: PieceKnown
  readonly exercise: ExerciseToCheck | null
}

async function rasterOf(stored: Uint8Array): Promise<Raster> {
  const outcome = await decodePicture(stored, READABLE)
  if (outcome.kind === 'refused') throw new Error(outcome.message)
  return outcome.raster
}

export interface MeasuredPiece {
  readonly measures: PieceMeasures
  readonly checks: CheckResult[] | null
}

/** Measures a stored display picture with what is known of it, and checks it when it answers an exercise. */
export async function measure({ display, reference, source, known, exercise }: MeasureRequest): Promise<MeasuredPiece> {
  const raster = await rasterOf(display),
    planes = planesOf(raster),
    from = reference && planesOf(await rasterOf(reference))
  const measures = measurePiece({ pixels: { raster, planes }, source, known, reference: from })
  if (exercise === null) return { measures, checks: null }
  const { settings, plan, studies } = exercise,
    { wheel } = settings
  // An exercise keeps the wheel that it was set on, whatever wheel the critique looks through.
  const report =
    known.wheel === wheel
      ? measures.report
      : { ...measures.report, wheel, harmony: measureHarmony({ raster, planes, wheel }) }
  const hues = hueHistogram(raster, planes, wheel)
  return {
    measures,
    checks: checkHandIn(exercise, { report, hues, planes, raster, reference: from, plan, studies }, settings)
  }
}

export interface CompareRequest {
  readonly old: { readonly display: Uint8Array; readonly source: Source }
  readonly next: { readonly display: Uint8Array; readonly source: Source }
  /** Of the old version. */
  readonly known: PieceKnown
  readonly standards: HouseStandards
  readonly asked: readonly Asked[]
  /** Of the old picture in the new one, where somebody set them. */
  readonly corners: readonly Point[] | null
}

/** Lays a new version on the old one, and measures both. */
export async function compare({ old, next, ...options }: CompareRequest, progress: Progress): Promise<Comparison> {
  const [before, after] = await Promise.all([rasterOf(old.display), rasterOf(next.display)])
  return compareVersions(
    { raster: before, source: old.source },
    { raster: after, source: next.source },
    { ...options, progress }
  )
}

export interface EvidenceRequest {
  readonly display: Uint8Array
  readonly exercise: ExerciseToCheck
  /** Id of the check. */
  readonly check: string
}

/** What a check stands on, seen on the picture. @returns a PNG; null where nothing shows it. */
export async function evidence({ display, exercise, check }: EvidenceRequest): Promise<Uint8Array | null> {
  const raster = await rasterOf(display),
    planes = planesOf(raster),
    { settings } = exercise
  const lens = evidenceOf(check, { ...exercise, hues: hueHistogram(raster, planes, settings.wheel) })
  if (!lens) return null
  const out = new Uint8ClampedArray(raster.data.length)
  renderLens(lens, { raster, planes, out })
  return encoder({ ...raster, data: out })
    .png({ compressionLevel: 6 })
    .toBuffer()
}

if (process.send) {
  oneThread()
  blockOtherLoaders(PICTURE_LIMITS.formats)
  serve({ ingest, strip, measure, evidence, compare, letter })
}
