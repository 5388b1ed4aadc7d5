/**
 * The measuring queue: rows in the database, taken one by one and measured in a worker thread. The
 * row says `measuring` only while this process works on it, so at start whatever says so was
 * interrupted and is queued again.
 */
import { REPORT_VERSION } from '../../core/measure/report'
import { claimMeasurement, requeueUnfinished, requeueMeasurement, storeMeasurementFailure, storeReport, type MeasurementJob } from '../db/measurements'
import { findPictureBytes } from '../db/pictures'
import { db, transaction } from '../db/pool'
import { measureStored } from '../work/pool'

let running: Promise<void> | null = null
let asked = false
let stopped = false

/** Starts the queue if it rests. Never waits. */
export function wakeMeasuring(): void {
  asked = true
  if (running || stopped) return
  running = drain().catch(error => console.error('measuring stopped:', error)).finally(() => {
    running = null
    if (asked) wakeMeasuring()
  })
}

/** Everything queued has been measured. For seeding and tests. */
export async function measuringDone(): Promise<void> {
  while (running) await running
}

/** Called once at start. */
export async function resumeMeasuring(): Promise<void> {
  stopped = false
  await requeueUnfinished(db(), REPORT_VERSION)
  wakeMeasuring()
}

/** Finishes the piece in hand and takes no other. */
export async function stopMeasuring(): Promise<void> {
  stopped = true
  await running
}

async function drain(): Promise<void> {
  while (!stopped) {
    asked = false
    const job = await transaction(claimMeasurement)
    if (!job) return
    await measureJob(job)
  }
}

async function measureJob({ submissionId, wheel, format, width, height, exercise }: MeasurementJob): Promise<void> {
  try {
    const display = await findPictureBytes(db(), submissionId, 'display')
    if (!display) throw new Error('the picture is missing from the database')
    const { report, checks } = await measureStored({ display: display.bytes, source: { format, width, height }, wheel, exercise })
    await storeReport(db(), submissionId, report, checks)
  } catch (error) {
    console.error(`measuring of submission ${submissionId} failed:`, error)
    await storeMeasurementFailure(db(), submissionId, 'The picture could not be measured. Try again; if it fails twice, the file may be damaged.')
  }
}

export async function measureAgain(submissionId: number): Promise<void> {
  await requeueMeasurement(db(), submissionId)
  wakeMeasuring()
}
