/** A place where bytes lie under a key of their own. What is written there is never changed, only taken away. */

/** Bytes to be kept. @property from a file that holds them, or they themselves. */
export interface Source {
  readonly from: string | Buffer
  /** Of all of it, in bytes. */
  readonly size: number
}

export interface Place {
  /** @throws Error when it is not whole there. */
  write(key: string, source: Source): Promise<void>
  /** Bytes from `start` to before `end`, in order, never all of a large one at once. */
  read(key: string, start: number, end: number): AsyncIterable<Buffer>
  /** Taken away; one that is not there is. */
  remove(key: string): Promise<void>
}
