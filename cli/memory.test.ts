/** One report of a 40-megapixel upload, in a process of its own: its peak resident memory. */
import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { expect, it } from 'vitest'

it('peaks under 600 MB', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'critica-memory-'))
  const file = join(folder, 'large.jpg')
  // 8000 × 5000 pixels of soft forms.
  const soft = Buffer.from(Array.from({ length: 40 * 25 * 3 }, (_, i) => (i * 7919) % 256))
  await sharp(soft, { raw: { width: 40, height: 25, channels: 3 } })
    .resize(8000, 5000, { kernel: 'cubic' })
    .jpeg({ quality: 88 })
    .toFile(file)
  // The command runs as ever; at its exit the process reports the most memory it ever held.
  const report = "process.on('exit', () => process.stderr.write(String(process.resourceUsage().maxRSS)))"
  const { stdout, stderr, status } = spawnSync(
    'node',
    ['--import', 'tsx', '--import', `data:text/javascript,${encodeURIComponent(report)}`, 'cli/measure.ts', file],
    { encoding: 'utf8' }
  )
  rmSync(folder, { recursive: true })
  expect(status).toBe(0)
  expect(stdout).toContain('"sourceWidth":8000')
  const peak = Number(stderr.trim().split('\n').at(-1)) / 1024 // kilobytes
  console.log(`peak ${Math.round(peak)} MB`)
  expect(peak).toBeGreaterThan(50)
  expect(peak).toBeLessThan(600)
})
