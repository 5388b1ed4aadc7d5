/** What `slowness` takes on the machine the figures of docs/performance-load.md were taken on, in its quiet phases. */
const QUIET_MS = 20

/**
 * How many times slower than that this machine is just now, at least 1: objects made and text taken apart, as a server
 * does, which no change of the product makes faster. What others wait on a shared machine at half its speed is doubled.
 */
export function slowness(): number {
  const times = Array.from({ length: 9 }, () => {
    const start = performance.now()
    for (let n = 0; n < 6; n++)
      JSON.parse(
        JSON.stringify(
          Array.from({ length: 1500 }, (_, i) => ({
            id: i,
            name: `part ${i}`,
            at: { x: i / 7, y: i / 3 },
            of: [i, i + 1]
          }))
        )
      )
    return performance.now() - start
  })
  return Math.max(1, Math.min(...times) / QUIET_MS)
}
