/**
 * The lanes of heavy work, and what may be asked of them. Nothing small waits behind full-size work, and no sign-in
 * behind a picture.
 */
import { availableParallelism } from 'node:os'
import { join } from 'node:path'
import type { Refusal } from './decode'
import type { ExportTask, Upright, UprightRequest } from './export.worker'
import type { Verified } from './hashing'
import { Lane } from './lane'
import type { LetterRead, LetterRequest } from './letter/letter'
import type {
  compare,
  CompareRequest,
  evidence,
  EvidenceRequest,
  Ingested,
  IngestRequest,
  MeasureRequest,
  measure
} from './picture.worker'
import type { Progress } from './protocol'
import type { RecordRequest } from './record/zip'
import type { PlanPage } from '../../core/exercise/plan/sheet'
import type { SwatchOutcome } from '../../core/paint/sheet'
import type { PrinterOutcome } from '../../core/exercise/reader/printer'
import type { SheetOutcome } from '../../core/exercise/reader/read'
import type { SlipsRequest } from './slips/slips'
import type { TermRequest } from './term/term'
import type { PhotoRequest } from './worksheet/photo'
import type { ScanOutcome, ScanRequest } from './worksheet/scan'
import type { Paper } from '../../core/exercise/worksheet/worksheet'
import type { PrinterPages, SwatchPage, WorksheetsRequest } from './worksheet/print'

/** Milliseconds; the slowest honest task of its kind takes a third of it on a slow machine. */
const LIMIT = {
  ingest: 8000,
  straighten: 25_000,
  measure: 15_000,
  compare: 45_000,
  upright: 30_000,
  export: 120_000,
  password: 10_000
} as const

interface Lanes {
  /** Hand-ins and measurements, at the working size. */
  readonly picture: Lane
  /** Exports and full sizes: every pixel of an original. */
  readonly full: Lane
  readonly passwords: Lane
}
let lanes: Lanes | null = null

/** A core is left for whoever serves, or for the database. */
export const picturesAtOnce = (): number => Math.max(1, availableParallelism() - 1)

/** @param folder of the bundled workers. */
export function openWorkers(folder: string): void {
  const fileOf = (name: string): string => join(folder, `${name}.worker.mjs`)
  // Ten steps starved the measuring queue while 200 people asked; exports have no such queue behind them.
  lanes = {
    picture: new Lane({ file: fileOf('picture'), processes: picturesAtOnce(), stepBack: 5 }),
    full: new Lane({ file: fileOf('export'), processes: 1, stepBack: 15 }),
    passwords: new Lane({ file: fileOf('password'), processes: 1, stepBack: 0 })
  }
  lanes.picture.warm()
}

export function closeWorkers(): void {
  lanes?.picture.close()
  lanes?.full.close()
  lanes?.passwords.close()
  lanes = null
}

/** Tasks that wait, by lane. */
export const workersWaiting = (): Readonly<Record<keyof Lanes, number>> => ({
  picture: lanes?.picture.waiting ?? 0,
  full: lanes?.full.waiting ?? 0,
  passwords: lanes?.passwords.waiting ?? 0
})
export const workersOpen = (): boolean => lanes !== null

function workers(): Lanes {
  if (!lanes) throw new Error('the workers are not open')
  return lanes
}

/** @returns its hash, in PHC form. */
export const hashPassword = (password: string): Promise<string> =>
  workers().passwords.run({ name: 'hash', request: { password }, who: 'house', limitMs: LIMIT.password })

export const verifyPassword = (hash: string, password: string): Promise<Verified> =>
  workers().passwords.run({ name: 'verify', request: { hash, password }, who: 'house', limitMs: LIMIT.password })

/** @throws TaskTooLong. */
export const ingestPicture = (request: IngestRequest, who: string): Promise<Ingested | Refusal> =>
  workers().picture.run({ name: 'ingest', request, who, limitMs: request.steps ? LIMIT.straighten : LIMIT.ingest })

/** @throws TaskTooLong; of one that cannot be read at all. */
export const readLetter = (request: LetterRequest, who: string): Promise<LetterRead> =>
  workers().picture.run({ name: 'letter', request, who, limitMs: LIMIT.ingest })

/** @param file of a kept original, rewritten without metadata. @returns its new hash. */
export const stripOriginal = (file: string): Promise<string> =>
  workers().picture.run({ name: 'strip', request: { file }, who: 'house', limitMs: LIMIT.ingest })

export const measureStored = (request: MeasureRequest, who: string): ReturnType<typeof measure> =>
  workers().picture.run({ name: 'measure', request, who, limitMs: LIMIT.measure })

export const renderEvidence = (request: EvidenceRequest, who: string): ReturnType<typeof evidence> =>
  workers().picture.run({ name: 'evidence', request, who, limitMs: LIMIT.measure })

export const compareStored = (request: CompareRequest, who: string, progress: Progress): ReturnType<typeof compare> =>
  workers().picture.run({ name: 'compare', request, who, limitMs: LIMIT.compare, progress })

export const makeUpright = (request: UprightRequest, who: string): Promise<Upright> =>
  workers().full.run({ name: 'upright', request, who, limitMs: LIMIT.upright })

export const printSlips = (request: SlipsRequest, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'slips', request, who, limitMs: LIMIT.export })

export const printTermSheet = (request: TermRequest, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'term', request, who, limitMs: LIMIT.export })

export const printWorksheets = (request: WorksheetsRequest, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'worksheets', request, who, limitMs: LIMIT.export })

export const printPlan = (request: PlanPage, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'plan', request, who, limitMs: LIMIT.export })

export const printPrinterPages = (request: PrinterPages, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'printerPages', request, who, limitMs: LIMIT.export })
export const printStripPage = (paper: Paper, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'stripPage', request: paper, who, limitMs: LIMIT.export })

/** @throws when the file is no picture. */
export const readPrinterPhoto = (request: { readonly file: string }, who: string): Promise<PrinterOutcome> =>
  workers().full.run({ name: 'printer', request, who, limitMs: LIMIT.upright })

export const printSwatchPage = (request: SwatchPage, who: string): Promise<Uint8Array> =>
  workers().full.run({ name: 'swatchPage', request, who, limitMs: LIMIT.export })
/** @throws when the file is no picture. */
export const readSwatchPhoto = (request: { readonly file: string }, who: string): Promise<SwatchOutcome> =>
  workers().full.run({ name: 'swatches', request, who, limitMs: LIMIT.upright })

/** @throws when the file is no picture. */
export const readSheetPhoto = (request: PhotoRequest, who: string): Promise<SheetOutcome[]> =>
  workers().full.run({ name: 'photo', request, who, limitMs: LIMIT.upright })

/** @throws when the file is no PDF after all. */
export const takeScanApart = (request: ScanRequest, who: string, progress: Progress): Promise<ScanOutcome> =>
  workers().full.run({ name: 'scan', request, who, limitMs: LIMIT.export, progress })

export const packRecord = (request: RecordRequest, who: string): Promise<void> =>
  workers().full.run({ name: 'record', request, who, limitMs: LIMIT.export })

export interface RunningExport {
  readonly task: ExportTask
  readonly file: string
  readonly who: string
  readonly progress: Progress
  readonly signal: AbortSignal
}

/** @throws when it fails, or once it is called off by the signal. */
export const runExport = ({ task, file, who, progress, signal }: RunningExport): Promise<void> =>
  workers().full.run({ name: 'make', request: { task, file }, who, limitMs: LIMIT.export, progress, signal })
