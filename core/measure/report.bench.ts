/** Speed as ratios within one run, on one core: see docs/performance.md. Run with `npm run bench`. */
import { readFileSync, writeFileSync } from 'node:fs'
import { converter } from 'culori'
import sharp from 'sharp'
import { renderLens, type LensRequest } from '../lens/lens'
import { seededRandom } from '../numeric/random'
import { fillColour } from '../picture/fill-colour'
import { planesOf } from '../picture/planes'
import type { Raster } from '../picture/raster'
import { fitWithin, reduceTo } from '../picture/resample'
import { attentionOf } from './focus/attention/attention'
import { edgeMaps } from './composition/edge-maps'
import { measurePicture } from './picture'
import { measureSeparation } from './value/separation'

sharp.concurrency(1)
sharp.cache(false)

/** Grain of paper and sensor, in bytes: the file comes to about 4 MB, as cameras write 12 megapixels. */
const GRAIN = 36

/** A 12-megapixel JPEG of soft forms, patches and grain. */
async function photograph(width: number, height: number): Promise<Buffer> {
  const random = seededRandom(12)
  const small = Buffer.alloc(80 * 60 * 3).map(() => Math.floor(255 * random()))
  const soft = await sharp(small, { raw: { width: 80, height: 60, channels: 3 } })
    .resize(width, height, { kernel: 'cubic' })
    .raw()
    .toBuffer()
  for (let i = 0; i < soft.length; i++) soft[i] = Math.min(255, Math.max(0, soft[i] + GRAIN * (random() - 0.5)))
  return sharp(soft, { raw: { width, height, channels: 3 } })
    .jpeg({ quality: 90 })
    .toBuffer()
}

const jpeg = await photograph(4000, 3000)
const decoded = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true })
const size = fitWithin(4000, 3000, 1024)
const raster: Raster = reduceTo({ width: 4000, height: 3000, channels: 3, data: decoded.data }, size.width, size.height)
const rgb = Buffer.from(raster.data.filter((_, i) => i % 4 !== 3))
const planes = planesOf(raster)
const count = raster.width * raster.height
const value = new Float32Array(count),
  l = new Float32Array(count),
  a = new Float32Array(count),
  b = new Float32Array(count)
const out = new Uint8ClampedArray(raster.data.length)
const culoriOklab = converter('oklab')

const tasks: { readonly name: string; readonly work: () => unknown; readonly warmUp: number }[] = []
/** Milliseconds of each task, round by round. */
const times = new Map<string, number[]>()

/** @param warmUp runs before any is timed: the server's worker lives long, and its loops are compiled. */
function task(name: string, work: () => unknown, warmUp = 15): void {
  tasks.push({ name, work, warmUp })
}

/** Rounds in which every task runs once, so that a slow moment of a shared machine falls on all alike. */
async function runAll(rounds: number): Promise<void> {
  for (const { work, warmUp } of tasks) for (let i = 0; i < warmUp; i++) await work()
  for (let round = 0; round < rounds; round++) {
    for (const { name, work } of tasks) {
      const start = performance.now()
      await work()
      times.set(name, [...(times.get(name) ?? []), performance.now() - start])
    }
  }
}

const median = (list: readonly number[]): number => [...list].sort((p, q) => p - q)[list.length >> 1]
const ms = (name: string): number => median(times.get(name)!)
/** Median over the rounds of one task's time by another's in the same round. */
const ratio = (name: string, other: string): number =>
  median(times.get(name)!.map((t, round) => t / times.get(other)![round]))

const LENSES: readonly LensRequest[] = [
  { name: 'grey' },
  { name: 'grey', grey: 'hsl' },
  { name: 'groups', count: 4 },
  { name: 'two-values' },
  { name: 'mirrored' },
  { name: 'temperature' },
  { name: 'relative-temperature' },
  { name: 'near-black' },
  { name: 'near-white' },
  { name: 'vivid' },
  { name: 'strength' },
  { name: 'families', wheel: 'painter' },
  { name: 'off-scheme', wheel: 'painter', scheme: 'triad', rotation: 40 }
]

task('sharp: decode and downsize the 12-megapixel JPEG', () => sharp(jpeg).resize(1024).raw().toBuffer())
task('the whole report', () =>
  measurePicture({ raster, source: { format: 'jpeg', width: 4000, height: 3000 }, options: { wheel: 'painter' } })
)
task('our reduction of the decoded 12 megapixels', () =>
  reduceTo({ width: 4000, height: 3000, channels: 3, data: decoded.data }, size.width, size.height)
)
task('L* and OKLab planes', () => fillColour(raster.data, { value, lightness: l, a, b }))
task('libvips: CIELAB of the same raster', () =>
  sharp(rgb, { raw: { width: raster.width, height: raster.height, channels: 3 } })
    .toColourspace('lab')
    .raw({ depth: 'float' })
    .toBuffer()
)
task(
  'culori: its converter per pixel',
  () => {
    for (let i = 0; i < count; i++)
      culoriOklab({ mode: 'rgb', r: rgb[i * 3] / 255, g: rgb[i * 3 + 1] / 255, b: rgb[i * 3 + 2] / 255 })
  },
  3
)
for (const request of LENSES)
  task(`lens: ${request.name}${'grey' in request ? ` ${request.grey}` : ''}`, () =>
    renderLens(request, { raster, planes, out })
  )
// Planes of their own each time: maps are kept with their planes.
task('map: attention', () => attentionOf({ ...planes }))
task('map: sharpness', () => edgeMaps({ ...planes }))
task('area reading while dragging', () =>
  measureSeparation({ name: 'area', area: { kind: 'rectangle', x: 0.3, y: 0.3, w: 0.3, h: 0.35 }, planes, raster })
)

await runAll(15)

const rows = [...times.keys()].map(name => `| ${name} | ${ms(name).toFixed(1)} |`)
const lenses = Math.max(...[...times.keys()].filter(n => n.startsWith('lens')).map(ms))
const figures: [string, string, string][] = [
  [
    "whole report ÷ sharp's decode and downsize",
    ratio('the whole report', 'sharp: decode and downsize the 12-megapixel JPEG').toFixed(2),
    '≤ 3'
  ],
  [
    "our L* and OKLab ÷ libvips' CIELAB",
    ratio('L* and OKLab planes', 'libvips: CIELAB of the same raster').toFixed(2),
    '≤ 1'
  ],
  [
    'culori per pixel ÷ our L* and OKLab',
    ratio('culori: its converter per pixel', 'L* and OKLab planes').toFixed(1),
    '≥ 12'
  ],
  ['slowest pointwise lens, ms', lenses.toFixed(1), '≤ 16.7'],
  ['attention map, ms', ms('map: attention').toFixed(0), '≤ 200'],
  ['sharpness map, ms', ms('map: sharpness').toFixed(0), '≤ 200'],
  ['area reading, ms', ms('area reading while dragging').toFixed(2), '≤ 8']
]
const PAGE = 'docs/performance.md',
  /** What follows it was measured by other means and stays. */
  BY_HAND = '## The page'
const byHand = readFileSync(PAGE, 'utf8').split(BY_HAND)[1] ?? ''
writeFileSync(
  PAGE,
  `# Performance

Written by \`npm run bench\`: medians of 15 interleaved rounds on a 1024 × 768 raster, one core of a 2-core virtual
machine with 24 GiB, Node 20. Compare ratios only; the machine is shared and its milliseconds move.

| figure | measured | wanted |
|---|---|---|
${figures.map(([what, got, want]) => `| ${what} | ${got} | ${want} |`).join('\n')}

| medians | ms |
|---|---|
${rows.join('\n')}

Medians after fifteen runs to warm up, as in the server's long-lived worker thread; the first report of
a fresh process (the command line) takes about three times as long, until every loop is compiled.
The JPEG has grain enough to be about 4 MB, as cameras write 12 megapixels. Lenses by hue read the histogram
that the report made.
Reducing decoded pixels to the raster averages light, which sharp's own downsizing does not.

Memory: one report of a 40-megapixel JPEG peaks under 600 MB of process memory, held by
\`cli/memory.test.ts\` in a process of its own.

${BY_HAND}${byHand}`
)

for (const [what, got, want] of figures) console.log(`${what.padEnd(48)} ${got.padStart(8)}   ${want}`)
