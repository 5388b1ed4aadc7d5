/** The measuring queue: rows in the database, taken one by one and measured in a working process. */
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
import { TaskTooLong } from '../../work/lane'
import { measureStored } from '../../work/workers'
import { measuring } from '../running/metrics'
import { RowQueue } from '../running/row-queue'
import { compareAhead } from '../versions/comparing'
import { knownOf } from './knowing'
import { measurer } from './measuring-node'
import { logError } from '../../log'

const RENEW_MS = 4000

const queue = new RowQueue<MeasurementJob>({
  failure: 'measuring stopped',
  pace: measurer,
  take: () => transaction(connection => claimMeasurement(connection, measurer)),
  async do(job) {
    await measureJob(job)
    await compareAhead(job.submissionId, { classId: job.classId, who: `${job.learnerId}` }).catch((error: Error) => {
      if (databaseAway(error) || queue.stopped) throw error
      // It is tried again when somebody asks for it, who is then told.
      logError('comparing failed', error, { submission: job.submissionId })
    })
  }
})

/** Starts the queue if it rests. Never waits. */
export const wakeMeasuring = (): void => queue.wake()
/** Everything queued has been measured. For seeding and tests. */
export const measuringDone = (): Promise<void> => queue.done()
/** Called once at start, also while the database is away. */
export function resumeMeasuring(): void {
  measurer.begin()
  queue.resume(() => askOutdated(db(), REPORT_VERSION))
}
/** @param graceMs that the piece in hand is waited for. */
export async function stopMeasuring(graceMs = 60_000): Promise<void> {
  await measurer.leave()
  await queue.stop(graceMs)
}

async function measureJob({ submissionId, learnerId, asked, source, exercise }: MeasurementJob): Promise<void> {
  const held = { submissionId, by: measurer.holder },
    told = measuring.startTimer()
  const renewing = setInterval(() => void renewLease(db(), submissionId, measurer.holder).catch(() => {}), RENEW_MS)
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
    // Begun and not ended, as by a machine with too much to do: it is begun again, as often as any.
    if (error instanceof TaskTooLong) return releaseMeasurement(db(), held, true)
    // Nothing is wrong with the piece, and nothing could be written: its lease runs out, and it is measured again.
    if (queue.stopped) await releaseMeasurement(db(), held, false).catch(() => {})
    if (databaseAway(error) || queue.stopped) throw error
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
