/** `npm run bench`, second part: what trials cost, live and at full size. Writes docs/performance-exports.md. */
import { writeFileSync } from 'node:fs'
import sharp from 'sharp'
import { seededRandom } from '../../../core/numeric/random'
import { createRaster, type Raster } from '../../../core/picture/raster'
import { applyTrial } from '../../../core/trial/apply'
import type { Trial, TrialOperation } from '../../../core/trial/trial'
import { appliedPicture, decodeFull, openRaster, type LayeredCorrection } from './layers'

sharp.concurrency(1)
const random = seededRandom(12)

/** Soft forms under a painter's grain, as large as asked. */
async function painted(width: number, height: number): Promise<Buffer> {
  const coarse = Buffer.from(Array.from({ length: 40 * 30 * 3 }, () => Math.floor(40 + 170 * random())))
  const soft = await sharp(coarse, { raw: { width: 40, height: 30, channels: 3 } })
    .resize(width, height, { kernel: 'cubic', fit: 'fill' })
    .raw()
    .toBuffer()
  for (let i = 0; i < soft.length; i++)
    soft[i] = Math.min(255, Math.max(0, soft[i]! + Math.round(10 * (random() + random() - 1))))
  return sharp(soft, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 92 })
    .toBuffer()
}
const OPERATIONS: TrialOperation[][] = [
  [{ kind: 'value', by: 9 }],
  [
    { kind: 'chroma', times: 0.6 },
    { kind: 'temperature', by: 20 }
  ],
  [{ kind: 'edges', by: -0.6 }],
  [{ kind: 'hue', wheel: 'painter', position: 120, share: 0.5 }],
  [{ kind: 'range', times: 1.4 }]
]
const trialOf = (operations: TrialOperation[]): Trial => ({ outside: false, feather: 0.01, strength: 1, operations })
/** Five areas, each nine hundredths of the picture. */
const corrections: LayeredCorrection[] = OPERATIONS.map((operations, i) => ({
  name: `V${i + 1}`,
  area: { kind: 'rectangle', x: 0.1 + 0.13 * i, y: 0.1 + 0.11 * i, w: 0.3, h: 0.3 },
  mark: null,
  trial: trialOf(operations)
}))

async function median(work: () => unknown, rounds: number): Promise<number> {
  const times: number[] = []
  for (let i = 0; i < rounds + 1; i++) {
    const start = performance.now()
    await work()
    if (i > 0) times.push(performance.now() - start)
  }
  return times.sort((p, q) => p - q)[rounds >> 1]!
}

const jpeg = await painted(4000, 3000),
  full = await decodeFull(jpeg)
const small: Raster = createRaster(1024, 768)
small.data.set(await sharp(jpeg).resize(1024, 768).ensureAlpha().raw().toBuffer())

const floor = await median(
  async () =>
    sharp(full.data, { raw: { width: 4000, height: 3000, channels: 4 } })
      .removeAlpha()
      .png({ compressionLevel: 1, adaptiveFiltering: false })
      .toBuffer(),
  3
)
const decode = await median(() => decodeFull(jpeg), 3)
const applied = await median(() => appliedPicture(full, corrections, () => {}), 3)
const layered = await median(() => openRaster(full, corrections, () => {}), 3)
const live: [string, number][] = []
for (const [i, { area, trial }] of corrections.entries())
  live.push([
    OPERATIONS[i]!.map(o => o.kind).join(' and '),
    await median(() => applyTrial({ trial: trial!, area, raster: small, quick: true }), 9)
  ])
live.push([
  'value, the whole picture',
  await median(
    () => applyTrial({ trial: trialOf([{ kind: 'value', by: 9 }]), area: null, raster: small, quick: true }),
    9
  )
])

const seconds = (ms: number): string => (ms / 1000).toFixed(2),
  overFloor = (ms: number): string => ((decode + ms) / floor).toFixed(1)
writeFileSync(
  'docs/performance-exports.md',
  `# Performance of trials and exports

Written by \`npm run bench\`: medians on a 2-core virtual machine, Node 20, of a picture of 4000 × 3000 pixels with a
painter's grain and five trials, each on nine hundredths of it. Layers are written
beside the work, on the other core. Compare ratios only; the machine is shared and its seconds move.

| figure | measured | wanted |
|---|---|---|
| decode, apply five trials at full size, write, s | ${seconds(decode + applied)} | ≤ 5 |
| decode, all layers, marks, merged picture, thumbnail, zip, s | ${seconds(decode + layered)} | ≤ 5 |
| the same ÷ sharp writing the plain picture once | ${overFloor(applied)}; ${overFloor(layered)} | |

Under a moving slider, at display size (1024 × 768):

| trial | ms |
|---|---|
${live.map(([name, ms]) => `| ${name} | ${ms.toFixed(1)} |`).join('\n')}
`
)
console.log(
  `export ${seconds(decode + applied)} s, layers ${seconds(decode + layered)} s,`
    + ` sharp's own writing ${seconds(floor)} s;`
    + ` live ${live.map(([name, ms]) => `${name} ${ms.toFixed(0)} ms`).join(', ')}`
)
