/** Which way each arrow key leads: right and down count up. */
const WAYS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1]
}

/** @returns null for any other key. */
export const arrowOf = (key: string): readonly [x: number, y: number] | null => WAYS[key] ?? null
