/** The worker threads of the server: decoding and measuring never run on its main thread. */
import { availableParallelism } from 'node:os'
import Piscina from 'piscina'
import type { Refusal } from './decode'
import type { Ingested, MeasureRequest, measure, Stored } from './picture.worker'

let pool: Piscina | null = null

/** @param file the bundled worker. */
export function openWorkers(file: string): void {
  pool = new Piscina({ filename: file, minThreads: 1, maxThreads: Math.max(1, availableParallelism() - 1), idleTimeout: 60_000 })
}

export async function closeWorkers(): Promise<void> {
  await pool?.destroy()
  pool = null
}

function workers(): Piscina {
  if (!pool) throw new Error('the worker threads are not open')
  return pool
}

export const ingestPicture = (bytes: Uint8Array): Promise<Ingested | Refusal> => workers().run({ bytes }, { name: 'ingest' })

export const upright = (bytes: Uint8Array): Promise<Stored> => workers().run({ bytes }, { name: 'upright' })

export const measureStored = (request: MeasureRequest): ReturnType<typeof measure> => workers().run(request, { name: 'measure' })
