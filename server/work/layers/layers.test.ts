/** The layered file opened again: by the published baseline of OpenRaster, and pixel by pixel. */
import { unzipSync, strFromU8 } from 'fflate'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../../../core/numeric/random'
import { createRaster, type Raster } from '../../../core/picture/raster'
import { applyTrial, applyTrials } from '../../../core/trial/apply'
import type { Trial } from '../../../core/trial/trial'
import { measurePicture } from '../../../core/measure/picture'
import { effectNumbers } from '../../../core/trial/effect'
import { decodePicture, READABLE, type Decoded } from '../decode'
import { appliedPicture, decodeFull, openRaster, type LayeredCorrection } from './layers'

const random = seededRandom(5)
const raster = createRaster(240, 180)
for (let i = 0; i < raster.data.length; i++)
  raster.data[i] = i % 4 === 3 ? 255 : 60 + 40 * (i % 4) + Math.floor(40 * random())
const trial = (operations: Trial['operations']): Trial => ({ outside: false, feather: 0.02, strength: 1, operations })
const corrections: LayeredCorrection[] = [
  {
    name: 'V1 Merges & "hides"',
    area: { kind: 'rectangle', x: 0.2, y: 0.2, w: 0.3, h: 0.4 },
    mark: null,
    trial: trial([{ kind: 'value', by: 18 }])
  },
  {
    name: 'F2 Quiet it',
    area: {
      kind: 'polygon',
      points: [
        [0.4, 0.4],
        [0.9, 0.5],
        [0.7, 0.9]
      ]
    },
    mark: { kind: 'arrow', from: [0.9, 0.1], to: [0.7, 0.6] },
    trial: trial([
      { kind: 'chroma', times: 0.4 },
      { kind: 'temperature', by: -12 }
    ])
  },
  { name: 'G3 All in all', area: null, mark: null, trial: null }
]
const pixels = async (png: Uint8Array): Promise<Raster> => decodeFull(png)

describe('the layered file', () => {
  // OpenRaster specification, baseline: mimetype first, stored, without an extra field; stack.xml, mergedimage.png,
  // Thumbnails/thumbnail.png of at most 256 pixels.
  it("has the baseline's parts where a reader looks for them", async () => {
    const shares: number[] = [],
      file = await openRaster(raster, corrections, share => shares.push(share)),
      view = new DataView(file.buffer, file.byteOffset)
    expect([
      view.getUint32(0, true),
      view.getUint16(8, true),
      view.getUint16(26, true),
      view.getUint16(28, true)
    ]).toEqual([0x04034b50, 0, 8, 0])
    expect(strFromU8(file.subarray(30, 54))).toBe('mimetypeimage/openraster')
    const parts = unzipSync(file),
      xml = strFromU8(parts['stack.xml']!)
    for (const name of ['mergedimage.png', 'Thumbnails/thumbnail.png', 'data/original.png'])
      expect(strFromU8(parts[name]!.subarray(1, 4)), name).toBe('PNG')
    expect(xml).toMatch(/^<\?xml version="1.0" encoding="UTF-8"\?>\n<image version="0\.0\.\d" w="240" h="180"/)
    const sources = [...xml.matchAll(/<layer name="([^"]*)" src="([^"]*)" x="(\d+)" y="(\d+)"/g)]
    expect(sources.map(s => s[2])).toEqual([
      'data/mark-2.png',
      'data/mark-1.png',
      'data/trial-2.png',
      'data/trial-1.png',
      'data/original.png'
    ])
    for (const s of sources) expect(parts[s[2]!], s[2]).toBeDefined()
    expect(xml).toContain('V1 Merges &#38; &#34;hides&#34;')
    const thumb = await sharp(parts['Thumbnails/thumbnail.png']).metadata()
    expect(Math.max(thumb.width, thumb.height)).toBeLessThanOrEqual(256)
    expect([...shares].sort((p, q) => p - q)).toEqual(shares)
    expect(shares.at(-1)).toBe(1)
  })

  it('opens again with the same pixels: the original, each trial laid over it, and all of it together', async () => {
    const parts = unzipSync(await openRaster(raster, corrections, () => {})),
      xml = strFromU8(parts['stack.xml']!)
    expect((await pixels(parts['data/original.png']!)).data).toEqual(raster.data)
    const layers = [...xml.matchAll(/src="([^"]*)" x="(\d+)" y="(\d+)"/g)]
      .map(s => ({ input: Buffer.from(parts[s[1]!]!), left: Number(s[2]), top: Number(s[3]) }))
      .reverse()
    const laid = async (n: number): Promise<Uint8ClampedArray> =>
      new Uint8ClampedArray(await sharp(layers[0]!.input).ensureAlpha().composite(layers.slice(1, n)).raw().toBuffer())
    const tried = corrections.filter(c => c.trial) as { trial: Trial; area: LayeredCorrection['area'] }[]
    expect(await laid(2)).toEqual(applyTrial({ trial: tried[0]!.trial, area: tried[0]!.area, raster }).data)
    expect(await laid(3)).toEqual(applyTrials(tried, raster).data)
    // Laid one after the other or all at once, a soft edge may round either way.
    const merged = (await pixels(parts['mergedimage.png']!)).data,
      all = await laid(layers.length)
    expect(merged.reduce((most, byte, i) => Math.max(most, Math.abs(byte - all[i]!)), 0)).toBeLessThanOrEqual(1)
  })
})

it('the exported picture, measured again, reads what the bench read after the trials', async () => {
  const tried = corrections.filter(c => c.trial) as { trial: Trial; area: LayeredCorrection['area'] }[]
  const exported = (await decodePicture(await appliedPicture(raster, corrections, () => {}), READABLE)) as Decoded
  const [after] = effectNumbers({
    raster: applyTrials(tried, raster),
    wheel: 'painter',
    subjects: [{ area: tried[0]!.area, target: { measure: 'separation', atLeast: 15 } }]
  })
  const [again] = effectNumbers({
    raster: exported.raster,
    wheel: 'painter',
    subjects: [{ area: tried[0]!.area, target: { measure: 'separation', atLeast: 15 } }]
  })
  expect(again).toEqual(after)
  const { value } = measurePicture({ raster: exported.raster, source: exported.source, options: { wheel: 'painter' } })
  expect(value).toMatchObject({ range: after!.range })
  // And it is not what was read before.
  const [before] = effectNumbers({ raster, wheel: 'painter', subjects: [{ area: tried[0]!.area, target: null }] })
  expect(Math.abs(after!.separation! - before!.separation!)).toBeGreaterThan(10)
})

it("the export of a picture larger than the bench reads the same as the bench, to the report's rounding", async () => {
  // Soft forms of 2400 × 1800 under a grain: the bench reads them at 1024, with the trial; the export is every pixel
  // with the trial, reduced afterwards.
  const coarse = Buffer.from(Array.from({ length: 24 * 18 * 3 }, () => 60 + Math.floor(140 * random())))
  const soft = await sharp(coarse, { raw: { width: 24, height: 18, channels: 3 } })
    .resize(2400, 1800, { kernel: 'cubic', fit: 'fill' })
    .raw()
    .toBuffer()
  for (let i = 0; i < soft.length; i++)
    soft[i] = Math.min(255, Math.max(0, soft[i]! + Math.round(8 * (random() + random() - 1))))
  const file = await sharp(soft, { raw: { width: 2400, height: 1800, channels: 3 } })
    .png()
    .toBuffer()
  const bench = (await decodePicture(file, READABLE)) as Decoded,
    tried = corrections.filter(c => c.trial) as { trial: Trial; area: LayeredCorrection['area'] }[]
  expect([bench.raster.width, bench.source.width]).toEqual([1024, 2400])
  const again = (await decodePicture(
    await appliedPicture(await decodeFull(file), corrections, () => {}),
    READABLE
  )) as Decoded
  const asked = tried.map(({ area }) => ({ area, target: { measure: 'separation', atLeast: 15 } as const }))
  const onBench = effectNumbers({ raster: applyTrials(tried, bench.raster), wheel: 'painter', subjects: asked }),
    exported = effectNumbers({ raster: again.raster, wheel: 'painter', subjects: asked })
  for (const [i, numbers] of onBench.entries()) {
    for (const measure of ['range', 'separation', 'temperature'] as const)
      expect(Math.abs(exported[i]![measure]! - numbers[measure]!), `${corrections[i]!.name}, ${measure}`).toBeLessThan(
        0.05 + 1e-9
      )
    expect(Math.abs(exported[i]!.coverage! - numbers.coverage!)).toBeLessThan(0.005)
  }
})
