/**
 * The measuring queue: rows in the database, taken one by one and measured in a worker. A row is its worker's under a
 * lease that is renewed while the work goes on; what a crash, a stop or an outage left behind is taken up again when
 * the lease runs out, by whoever looks next: the queue is looked through every few seconds, and at once when asked.
 */
import { randomUUID } from 'node:crypto'
import { setTimeout as wait } from 'node:timers/promises'
import { fingerprintOf } from '../../../core/measure/fingerprint'
import { REPORT_VERSION } from '../../../core/measure/report'
import {
  claimMeasurement,
  releaseMeasurement,
  renewLease,
  requeueFailed,
  askOutdated,
  storeMeasurementFailure,
  storeReport,
  type MeasurementJob
} from '../../db/pieces/measurements'
import { databaseAway } from '../../db/outage'
import { readPicture } from '../../blobs/pictures'
import { db, transaction } from '../../db/pool'
import { measureStored } from '../../work/workers'
import { measuring } from '../running/metrics'
import { compareAhead } from '../versions/comparing'
import { knownOf } from './knowing'
import { logError } from '../../log'

const LOOK_MS = 3000,
  RENEW_MS = 4000

/** This server among several on one database. */
const HOLDER = randomUUID()

let running: Promise<void> | null = null
let asked = false
let looking: NodeJS.Timeout | null = null
let stopped = false

/** Starts the queue if it rests. Never waits. */
export function wakeMeasuring(): void {
  asked = true
  if (running || stopped) return
  running = drain()
    .catch((error: Error) => {
      // Looked for again in a moment; an outage is told once, by whoever is asked for something meanwhile.
      if (!databaseAway(error)) logError('measuring stopped', error)
      asked = false
    })
    .finally(() => {
      running = null
      if (asked) wakeMeasuring()
    })
}

/** Everything queued has been measured. For seeding and tests. */
export async function measuringDone(): Promise<void> {
  while (running) await running
}

/** Called once at start, also while the database is away. */
export function resumeMeasuring(): void {
  stopped = false
  let current = false
  const look = async (): Promise<void> => {
    if (!current) await askOutdated(db(), REPORT_VERSION)
    current = true
    wakeMeasuring()
  }
  const lookQuietly = (): void => void look().catch(() => {})
  looking = setInterval(lookQuietly, LOOK_MS)
  looking.unref()
  lookQuietly()
}

/**
 * Takes no other piece; the one in hand is finished, or taken up again when its lease runs out. @param graceMs waited
 * for it.
 */
export async function stopMeasuring(graceMs = 60_000): Promise<void> {
  stopped = true
  if (looking) clearInterval(looking)
  await Promise.race([running, wait(graceMs, undefined, { ref: false })])
}

async function drain(): Promise<void> {
  while (!stopped) {
    asked = false
    const job = await transaction(connection => claimMeasurement(connection, HOLDER))
    if (!job) return
    await measureJob(job)
    await compareAhead(job.submissionId, { classId: job.classId, who: `${job.learnerId}` }).catch((error: Error) => {
      if (databaseAway(error) || stopped) throw error
      // It is tried again when somebody asks for it, who is then told.
      logError('comparing failed', error, { submission: job.submissionId })
    })
  }
}

async function measureJob({ submissionId, learnerId, asked, source, exercise }: MeasurementJob): Promise<void> {
  const held = { submissionId, by: HOLDER },
    told = measuring.startTimer()
  const renewing = setInterval(() => void renewLease(db(), submissionId, HOLDER).catch(() => {}), RENEW_MS)
  try {
    const [display, reference, known] = await Promise.all([
      readPicture(submissionId, 'display'),
      readPicture(submissionId, 'reference'),
      knownOf(db(), submissionId)
    ])
    if (!display) throw new Error('the picture is missing from the database')
    const request = {
      display: display.bytes,
      reference: reference?.bytes ?? null,
      source,
      known,
      exercise
    }
    const {
      measures: { report, extras },
      checks
    } = await measureStored(request, `${learnerId}`)
    await storeReport(db(), held, { asked, report, extras, checks, fingerprint: fingerprintOf(report) })
  } catch (error) {
    // Nothing is wrong with the piece, and nothing could be written: its lease runs out, and it is measured again.
    if (stopped) await releaseMeasurement(db(), submissionId, HOLDER).catch(() => {})
    if (databaseAway(error) || stopped) throw error
    logError('measuring failed', error, { submission: submissionId })
    await storeMeasurementFailure(
      db(),
      held,
      'The picture could not be measured. Try again; if it fails twice, the file may be damaged.'
    )
  } finally {
    told()
    clearInterval(renewing)
  }
}

/** Tries a failed measurement again; one that waits or is under way needs nothing but a look. */
export async function measureAgain(submissionId: number): Promise<void> {
  await requeueFailed(db(), submissionId)
  wakeMeasuring()
}
