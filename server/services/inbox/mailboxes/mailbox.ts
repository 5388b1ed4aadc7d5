/** Where mail comes in: a folder, or a mailbox on a mail server. */

/** @property id within its mailbox. @property bytes as it lies there. */
export interface Arrived {
  readonly id: string
  readonly bytes: number
}
export interface Mailbox {
  /** What nobody has read yet, the oldest first. @throws Error when it does not answer. */
  readonly list: () => Promise<readonly Arrived[]>
  /** Brings one to a file, or as much of it as tells whose it is where it is longer than `most`. */
  readonly bring: (arrived: Arrived, file: string, most: number) => Promise<void>
  /** It is not listed again. */
  readonly done: (arrived: Arrived) => Promise<void>
  readonly close: () => Promise<void>
}
