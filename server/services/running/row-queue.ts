/**
 * Work that lies in rows of the database, taken one by one by whichever server comes to it. It is looked for every few
 * seconds, and at once when asked; a row is its taker's under a lease, so that what a crash, a stop or an outage left
 * behind is taken up again by whoever looks next.
 */
import { setTimeout as wait } from 'node:timers/promises'
import { databaseAway } from '../../db/outage'
import { logError } from '../../log'

const LOOK_MS = 3000

/** @property atOnce so many are done at a time. @property lookMs how often it looks for what others put there. */
export interface Pace {
  readonly atOnce: number
  readonly lookMs?: number
}

/** @property failure what is logged when taking or doing fails. */
export interface Rows<Job> {
  readonly failure: string
  readonly pace: Pace
  take(): Promise<Job | null>
  /** @throws Error when it is to be taken up again later, by anybody. */
  do(job: Job): Promise<void>
}

export class RowQueue<Job> {
  private readonly running = new Set<Promise<void>>()
  private asked = false
  private looking: NodeJS.Timeout | null = null
  private ending = false

  constructor(private readonly rows: Rows<Job>) {}

  get stopped(): boolean {
    return this.ending
  }

  /** Starts the queue if it rests. Never waits. */
  wake(): void {
    this.asked = true
    if (this.ending || this.running.size >= this.rows.pace.atOnce) return
    const run = this.drain()
      .catch((error: Error) => {
        // Looked for again in a moment; an outage is told once, by whoever is asked for something meanwhile.
        if (!databaseAway(error)) logError(this.rows.failure, error)
        this.asked = false
      })
      .finally(() => {
        this.running.delete(run)
        if (this.asked) this.wake()
      })
    this.running.add(run)
  }

  /** Called once at start, also while the database is away. @param first done once, before anything is looked for. */
  resume(first: () => Promise<void> = () => Promise.resolve()): void {
    this.ending = false
    let begun = false
    const look = async (): Promise<void> => {
      if (!begun) await first()
      begun = true
      this.wake()
    }
    const lookQuietly = (): void => void look().catch(() => {})
    this.looking = setInterval(lookQuietly, this.rows.pace.lookMs ?? LOOK_MS)
    this.looking.unref()
    lookQuietly()
  }

  /** Takes nothing more; what is in hand is finished, or taken up again when its lease runs out. */
  async stop(graceMs: number): Promise<void> {
    this.ending = true
    if (this.looking) clearInterval(this.looking)
    await Promise.race([Promise.all(this.running), wait(graceMs, undefined, { ref: false })])
  }

  /** All that was there is done. For seeding and tests. */
  async done(): Promise<void> {
    while (this.running.size > 0) await Promise.all(this.running)
  }

  private async drain(): Promise<void> {
    while (!this.ending) {
      this.asked = false
      const job = await this.rows.take()
      if (job === null) return
      // Where one lies there may lie more.
      if (this.running.size < this.rows.pace.atOnce) this.wake()
      await this.rows.do(job)
    }
  }
}
