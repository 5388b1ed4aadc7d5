/** The worker thread of exports: the sheet, the full-size picture, the layered file; each written to a file of its own. */
import { writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { MessagePort } from 'node:worker_threads'
import sharp from 'sharp'
import { decodePicture, READABLE } from './decode'
import { appliedPicture, decodeFull, openRaster, type LayeredCorrection } from './layers/layers'
import { makeSheet, type SheetRequest } from './sheet/sheet'

sharp.concurrency(1)
sharp.cache(false)

export type ExportTask =
  | { readonly kind: 'applied' | 'layers', readonly original: Uint8Array, readonly corrections: readonly LayeredCorrection[] }
  | { readonly kind: 'sheet', readonly display: Uint8Array, readonly sheet: SheetRequest }
export interface ExportRequest { readonly task: ExportTask, /** Where it is written. */ readonly file: string, /** Takes shares of the work done, 0–1. */ readonly port: MessagePort }

async function made(task: ExportTask, progress: (share: number) => void): Promise<Uint8Array> {
  if (task.kind === 'sheet') {
    const outcome = await decodePicture(task.display, READABLE)
    if (outcome.kind === 'refused') throw new Error(outcome.message)
    return makeSheet(task.sheet, outcome.raster, join(import.meta.dirname, 'fonts'))
  }
  const original = await decodeFull(task.original)
  return (task.kind === 'applied' ? appliedPicture : openRaster)(original, task.corrections, progress)
}

export default async function run({ task, file, port }: ExportRequest): Promise<void> {
  await writeFile(file, await made(task, share => port.postMessage(share)))
}
