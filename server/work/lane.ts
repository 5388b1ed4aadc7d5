/**
 * Heavy work in processes of its own. Processes and not threads, because a decoder cannot be interrupted: ending a
 * thread waits for the native code that runs in it (47 s were measured for one hostile JPEG), ending a process does
 * not, and a decoder that crashes takes nobody along. Work is given out fairly, and each task has its time limit.
 */
import { fork, type ChildProcess } from 'node:child_process'
import { setPriority } from 'node:os'
import { FairQueue } from './fair-queue'
import type { Progress, Told } from './protocol'
import { logError } from '../log'

export interface LaneOptions {
  /** Bundled module of the working process. */
  readonly file: string
  /** Tasks at once. */
  readonly processes: number
  /** How far it steps back for the processor behind whoever waits for a page: 0–19, as `nice` counts. */
  readonly stepBack: number
}

export interface LaneTask {
  readonly name: string
  readonly request: unknown
  /** Whose work it is. */
  readonly who: string
  readonly limitMs: number
  readonly progress?: Progress
  readonly signal?: AbortSignal
}

/** The task took longer than its limit; its process was ended. */
export class TaskTooLong extends Error {}

const IDLE_MS = 60_000
/**
 * What a process keeps of a large picture it does not give back by itself: one that holds more is not used again.
 * Bytes.
 */
const MOST_HELD = 350e6

export class Lane {
  private readonly queue: FairQueue
  private readonly idle: { readonly child: ChildProcess; readonly timer: NodeJS.Timeout }[] = []
  private readonly children = new Set<ChildProcess>()
  private asked = 0

  constructor(private readonly options: LaneOptions) {
    this.queue = new FairQueue(options.processes)
  }

  /** One process is set up before it is needed. */
  warm(): void {
    this.rest(this.spawn())
  }

  /** @throws TaskTooLong, the reason of the signal, or an Error with what went wrong in the process. */
  run<T>({ signal, ...task }: LaneTask): Promise<T> {
    return this.queue.run(task.who, () => this.inProcess<T>({ signal, ...task }), signal)
  }

  /** Tasks that wait for a process. */
  get waiting(): number {
    return this.queue.length
  }

  /** Ends every process, whatever it is at. */
  close(): void {
    for (const { timer } of this.idle) clearTimeout(timer)
    for (const child of this.children) child.kill('SIGKILL')
  }

  private spawn(): ChildProcess {
    const child = fork(this.options.file, {
      serialization: 'advanced',
      execArgv: [],
      env: { ...process.env, MALLOC_ARENA_MAX: '2' }
    })
    this.children.add(child)
    child.once('exit', () => this.children.delete(child))
    child.on('error', error => logError('a working process failed', error))
    try {
      if (child.pid) setPriority(child.pid, this.options.stepBack)
    } catch {
      /* not everywhere may a process step back */
    }
    return child
  }

  /** Back to the bench, until it is needed or not for long. */
  private rest(child: ChildProcess): void {
    const timer = setTimeout(() => {
      this.idle.splice(
        this.idle.findIndex(i => i.child === child),
        1
      )
      child.kill('SIGKILL')
    }, IDLE_MS)
    timer.unref()
    this.idle.push({ child, timer })
  }

  private take(): ChildProcess {
    for (;;) {
      const resting = this.idle.pop()
      if (!resting) return this.spawn()
      clearTimeout(resting.timer)
      if (resting.child.connected) return resting.child
    }
  }

  private inProcess<T>({ name, request, limitMs, progress, signal }: LaneTask): Promise<T> {
    const child = this.take(),
      id = ++this.asked
    return new Promise<T>((resolve, reject) => {
      const settle = (end: () => void, reusable: boolean): void => {
        clearTimeout(timer)
        signal?.removeEventListener('abort', callOff)
        child.off('message', hear).off('exit', died)
        if (reusable) this.rest(child)
        else child.kill('SIGKILL')
        end()
      }
      const hear = (told: Told): void => {
        if (told.id !== id) return
        if (told.kind === 'progress') progress?.(told.share)
        else if (told.kind === 'done') settle(() => resolve(told.result as T), told.held < MOST_HELD)
        else settle(() => reject(new Error(told.message)), true)
      }
      const died = (): void =>
        settle(() => reject(new Error(`the process that did “${name}” ended in the middle`)), false)
      const callOff = (): void => settle(() => reject(signal!.reason as Error), false)
      const timer = setTimeout(
        () => settle(() => reject(new TaskTooLong(`“${name}” took longer than ${limitMs} ms`)), false),
        limitMs
      )
      signal?.addEventListener('abort', callOff, { once: true })
      child.on('message', hear).on('exit', died)
      child.send({ id, name, request }, error => {
        if (error) died()
      })
    })
  }
}
