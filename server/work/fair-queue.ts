/**
 * Work of many people on few hands. Whoever has least under way goes first, then whoever was served longest ago: so
 * nobody has two tasks under way while somebody else waits, and a hundred tasks of one do not come before one of
 * another.
 */
interface Waiting {
  readonly who: string
  readonly begin: () => void
}

export class FairQueue {
  private waiting: Waiting[] = []
  private readonly running = new Map<string, number>()
  /** When each of those in the queue was served last, counted in turns. */
  private readonly served = new Map<string, number>()
  private turn = 0
  private busy = 0

  /** @param hands tasks under way at once. @param most that may wait. */
  constructor(
    private readonly hands: number,
    private readonly most = Infinity
  ) {}

  /** How many wait, those under way not counted. */
  get length(): number {
    return this.waiting.length
  }

  /** @param signal takes a task that still waits out of the queue. @throws QueueFull, or what the task throws. */
  async run<T>(who: string, task: () => Promise<T>, signal?: AbortSignal): Promise<T> {
    if (this.waiting.length >= this.most) throw new QueueFull()
    await this.turnOf(who, signal)
    try {
      return await task()
    } finally {
      this.end(who)
    }
  }

  private turnOf(who: string, signal?: AbortSignal): Promise<void> {
    return new Promise((resolve, reject) => {
      signal?.throwIfAborted()
      const drop = (): void => {
        this.waiting = this.waiting.filter(w => w !== entry)
        reject(signal!.reason as Error)
      }
      const entry: Waiting = {
        who,
        begin: () => {
          signal?.removeEventListener('abort', drop)
          resolve()
        }
      }
      signal?.addEventListener('abort', drop, { once: true })
      this.waiting.push(entry)
      this.next()
    })
  }

  private end(who: string): void {
    const left = this.running.get(who)! - 1
    if (left > 0) this.running.set(who, left)
    else this.running.delete(who)
    this.busy--
    this.next()
  }

  private next(): void {
    if (this.busy >= this.hands || this.waiting.length === 0) return
    const rank = ({ who }: Waiting): number => (this.running.get(who) ?? 0) * 1e12 + (this.served.get(who) ?? 0)
    const first = this.waiting.reduce((best, entry) => (rank(entry) < rank(best) ? entry : best))
    this.waiting.splice(this.waiting.indexOf(first), 1)
    this.running.set(first.who, (this.running.get(first.who) ?? 0) + 1)
    if (this.waiting.length === 0) this.served.clear()
    this.served.set(first.who, ++this.turn)
    this.busy++
    first.begin()
  }
}

/** More wait already than will be served in any useful time. */
export class QueueFull extends Error {}
