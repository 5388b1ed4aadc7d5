/** When something is said, and what is said then; null where nothing is. For the test that reads all of it aloud. */
import type { Reading } from '../../critique/reading'

export type Said = readonly [when: string, reading: Reading | null]
