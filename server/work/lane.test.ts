/** Real processes: what does not end is ended, what dies is told, and the next task finds a process all the same. */
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'
import { afterAll, afterEach, beforeAll, expect, it } from 'vitest'
import { Lane, TaskTooLong } from './lane'

const folder = mkdtempSync(join(tmpdir(), 'critica-lane-')),
  file = join(folder, 'tasks.mjs')
const TASKS = `
import { serve } from ${JSON.stringify(join(import.meta.dirname, 'child.ts'))}
serve({
  echo: async request => request, pid: async () => process.pid,
  busy: () => { for (;;); }, dies: () => process.exit(3), fails: async () => { throw new Error('not today') },
  steps: async (_request, progress) => { for (const share of [0.25, 0.5, 1]) progress(share); return 'there' }
})`
beforeAll(() =>
  build({
    stdin: { contents: TASKS, resolveDir: import.meta.dirname, loader: 'ts' },
    outfile: file,
    bundle: true,
    platform: 'node',
    format: 'esm'
  })
)
let lane: Lane
const open = (processes = 1): Lane => (lane = new Lane({ file, processes, stepBack: 5 }))
afterEach(() => lane.close())
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const task = (name: string, more: object = {}) => ({ name, request: null, who: 'a', limitMs: 5000, ...more })

it('carries bytes there and back, tells progress, and keeps its process', async () => {
  open()
  const bytes = new Uint8Array([1, 2, 3]),
    shares: number[] = []
  expect(await lane.run(task('echo', { request: { bytes } }))).toEqual({ bytes })
  expect(await lane.run(task('steps', { progress: (share: number) => shares.push(share) }))).toBe('there')
  expect(shares).toEqual([0.25, 0.5, 1])
  expect(await lane.run(task('pid'))).toBe(await lane.run(task('pid')))
})

it('ends what takes too long, is called off or died, each at once, and goes on with another process', async () => {
  open()
  const first = await lane.run(task('pid')),
    start = Date.now()
  await expect(lane.run(task('busy', { limitMs: 300 }))).rejects.toThrow(TaskTooLong)
  const abort = new AbortController(),
    off = lane.run(task('busy', { signal: abort.signal }))
  setTimeout(() => abort.abort(new Error('called off')), 200)
  await expect(off).rejects.toThrow('called off')
  await expect(lane.run(task('dies'))).rejects.toThrow(/ended in the middle/)
  await expect(lane.run(task('fails'))).rejects.toThrow('not today')
  const last = await lane.run(task('pid'))
  expect(last).not.toBe(first)
  expect(() => process.kill(first as number, 0)).toThrow()
  expect(Date.now() - start).toBeLessThan(4000)
})
