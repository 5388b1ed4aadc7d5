/** The worker threads of the server: decoding, measuring and exporting never run on its main thread. */
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import { MessageChannel } from 'node:worker_threads'
import Piscina from 'piscina'
import type { Refusal } from './decode'
import type { ExportTask } from './export.worker'
import type { Ingested, MeasureRequest, measure, Stored } from './picture.worker'

interface Pools { readonly picture: Piscina, readonly export: Piscina }
let pools: Pools | null = null

/** @param folder of the bundled workers. An export has a thread of its own: nobody waits for a measurement behind one. */
export function openWorkers(folder: string): void {
  const fileOf = (name: string): string => join(folder, `${name}.worker.mjs`)
  pools = {
    picture: new Piscina({ filename: fileOf('picture'), minThreads: 1, maxThreads: Math.max(1, availableParallelism() - 1), idleTimeout: 60_000 }),
    export: new Piscina({ filename: fileOf('export'), minThreads: 0, maxThreads: 1, idleTimeout: 60_000 })
  }
}

export async function closeWorkers(): Promise<void> {
  await Promise.all(pools ? [pools.picture.destroy(), pools.export.destroy()] : [])
  pools = null
}

function workers(): Pools {
  if (!pools) throw new Error('the worker threads are not open')
  return pools
}

export const ingestPicture = (bytes: Uint8Array): Promise<Ingested | Refusal> => workers().picture.run({ bytes }, { name: 'ingest' })

export const upright = (bytes: Uint8Array): Promise<Stored> => workers().picture.run({ bytes }, { name: 'upright' })

export const measureStored = (request: MeasureRequest): ReturnType<typeof measure> => workers().picture.run(request, { name: 'measure' })

export interface RunningExport { readonly task: ExportTask, readonly file: string, readonly progress: (share: number) => void, readonly signal: AbortSignal }

/** @throws when it fails, or once it is called off by the signal. */
export async function runExport({ task, file, progress, signal }: RunningExport): Promise<void> {
  const { port1, port2 } = new MessageChannel()
  port1.on('message', progress)
  try {
    await workers().export.run({ task, file, port: port2 }, { transferList: [port2], signal })
  } finally {
    port1.close()
  }
}
