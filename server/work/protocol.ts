/** What the server and its working processes say to each other. */
export interface Asked {
  readonly id: number
  readonly name: string
  readonly request: unknown
}
export type Told =
  | { readonly kind: 'progress'; readonly id: number; readonly share: number }
  /** @property held bytes of memory that the process holds after it. */
  | { readonly kind: 'done'; readonly id: number; readonly result: unknown; readonly held: number }
  | { readonly kind: 'failed'; readonly id: number; readonly message: string }

/** Told as the work goes on, 0–1. */
export type Progress = (share: number) => void

/** A task as the working process runs it. */
export type Task = (request: never, progress: Progress) => Promise<unknown>
export type Tasks = Readonly<Record<string, Task>>
