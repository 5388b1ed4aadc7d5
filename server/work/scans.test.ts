import sharp from 'sharp'
import { expect, it } from 'vitest'
import { manyScans, MOST_SCANS as MOST_POSSIBLE } from '../../tests/hostile/scans'
import { scansOf } from './scans'

it('counts the passes of a JPEG as they were written, and none in another file', async () => {
  const noise = sharp(Buffer.from(Array.from({ length: 90 * 60 * 3 }, (_, i) => (i * i * 31) % 256)), {
    raw: { width: 90, height: 60, channels: 3 }
  })
  expect(scansOf(await noise.jpeg().toBuffer())).toBe(1)
  // libjpeg's standard script for colour pictures (jcparam.c, jpeg_simple_progression) has ten.
  expect(scansOf(await noise.jpeg({ progressive: true }).toBuffer())).toBe(10)
  for (const scans of [1, 100, MOST_POSSIBLE]) expect(scansOf(manyScans(64, 64, scans))).toBe(scans)
  expect(scansOf(await noise.png().toBuffer())).toBe(0)
  expect(scansOf(new Uint8Array())).toBe(0)
})

it('does not count those of a small picture that a JPEG carries in its head', async () => {
  const inner = await sharp({ create: { width: 20, height: 20, channels: 3, background: '#789' } })
    .jpeg({ progressive: true })
    .toBuffer()
  const outer = await sharp({ create: { width: 30, height: 30, channels: 3, background: '#789' } })
    .jpeg()
    .toBuffer()
  const head = Buffer.from([0xff, 0xe1, (inner.length + 2) >> 8, (inner.length + 2) & 0xff])
  expect(scansOf(Buffer.concat([outer.subarray(0, 2), head, inner, outer.subarray(2)]))).toBe(1)
})
