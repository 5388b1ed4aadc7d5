/** The working process's end: runs the tasks it is asked for, and ends with the server. */
import type { Asked, Tasks, Told } from './protocol'

export function serve(tasks: Tasks): void {
  const tell = (told: Told): void => {
    // A server that is gone needs no telling: this process ends with it.
    process.send!(told, undefined, undefined, () => {})
  }
  process.on('message', ({ id, name, request }: Asked) => {
    const progress = (share: number): void => tell({ kind: 'progress', id, share })
    void tasks[name]!(request as never, progress).then(
      result => tell({ kind: 'done', id, result, held: process.memoryUsage.rss() }),
      (error: Error) => tell({ kind: 'failed', id, message: error.stack ?? error.message })
    )
  })
  // A decoder in the middle of a file does not let a process end by itself.
  process.on('disconnect', () => process.kill(process.pid, 'SIGKILL'))
}
