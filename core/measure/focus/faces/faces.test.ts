import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import vm from 'node:vm'
import { expect, it } from 'vitest'
import { assembledKernel } from '../../../../bin/lib/kernel'
import { planesOf } from '../../../picture/planes'
import { paintFace } from '../../../testing/face'
import { fill } from '../../../testing/paint'
import { isMeasured } from '../../report'
import { measureFocus } from '../focus'
import { runDetector } from './detector'
import { facesOf } from './faces'
import kernel from './kernel.json' with { type: 'json' }
import weights from './weights.json' with { type: 'json' }

const PACKAGE = 'node_modules/@vladmandic/face-api',
  MODEL = join(PACKAGE, 'model/tiny_face_detector_model')

it('carries the weights of the package, byte by byte, and the kernel that its text says', async () => {
  expect(Buffer.from(weights.bytes, 'base64').equals(readFileSync(`${MODEL}.bin`))).toBe(true)
  const [{ weights: listed }] = JSON.parse(readFileSync(`${MODEL}-weights_manifest.json`, 'utf8'))
  expect(weights.layers).toEqual(
    listed.map((w: { name: string; shape: number[]; quantization: { scale: number; min: number } }) => ({
      name: w.name,
      size: w.shape.reduce((p, q) => p * q),
      scale: w.quantization.scale,
      min: w.quantization.min
    }))
  )
  expect(kernel.bytes).toBe(await assembledKernel('core/measure/focus/faces/kernel'))
})

/** The package as a page has it: it knows no other way without its native libraries. */
async function referenceRun(width: number, height: number, data: Float32Array): Promise<number[]> {
  const page: Record<string, unknown> = { TextEncoder, TextDecoder, performance, setTimeout, fetch, URL }
  Object.assign(page, {
    window: page,
    self: page,
    document: {},
    navigator: { userAgent: '' },
    location: { search: '' }
  })
  page.console = { ...console, warn: () => {} }
  vm.runInContext(readFileSync(join(PACKAGE, 'dist/face-api.js'), 'utf8'), vm.createContext(page))
  // eslint-disable-next-line @typescript-eslint/no-explicit-any -- a script of the package's, without its types.
  const { tf, nets } = page.faceapi as any
  await tf.setBackend('cpu')
  const [{ weights: listed }] = JSON.parse(readFileSync(`${MODEL}-weights_manifest.json`, 'utf8'))
  nets.tinyFaceDetector.loadFromWeightMap(
    tf.io.decodeWeights(new Uint8Array(readFileSync(`${MODEL}.bin`)).buffer, listed)
  )
  const out = nets.tinyFaceDetector.runMobilenet(
    tf.tensor4d([...data], [1, height, width, 3]),
    nets.tinyFaceDetector.params
  )
  return [...out.dataSync()]
}

it('computes what the package computes, number by number, on odd sizes too', async () => {
  const [width, height] = [160, 96],
    data = Float32Array.from({ length: width * height * 3 }, (_, i) => ((i * 7919) % 256) / 255 - 0.4)
  const theirs = await referenceRun(width, height, data),
    ours = runDetector({ width, height, channels: 3, data })!
  expect([ours.width, ours.height]).toEqual([5, 3])
  const cells = ours.width * ours.height
  const difference = theirs.map((t, i) => Math.abs(t - ours.data[Math.floor(i / 25) * ours.channels + (i % 25)]))
  expect(theirs).toHaveLength(cells * 25)
  expect(Math.max(...difference)).toBeLessThan(1e-3)
}, 60_000)

const SIZE = { width: 600, height: 400 },
  FACE = { x: 400, y: 180, r: 80 }

it('finds a painted face where it is, whatever its size, and none in a head without features', () => {
  for (const r of [48, 80, 140]) {
    const [face, ...more] = facesOf(planesOf(paintFace(SIZE, { x: 300, y: 180, r })))
    expect(more).toEqual([])
    expect(face.x + face.w / 2).toBeCloseTo(0.5, 1)
    expect(face.w * SIZE.width).toBeGreaterThan(r)
    expect(face.w * SIZE.width).toBeLessThan(3.2 * r)
  }
  expect(facesOf(planesOf(paintFace(SIZE, FACE, false)))).toEqual([])
})

it('is looked at before anything measured, unless the critic says that it is none or marks another', () => {
  const raster = paintFace(SIZE, FACE)
  // A glaring patch far from it.
  fill(raster, '#ffe100', 60, 290, 60, 60)
  const planes = planesOf(raster)
  const first = (options?: Parameters<typeof measureFocus>[1]) => {
    const focus = measureFocus(planes, options)
    return isMeasured(focus) && isMeasured(focus.peaks) ? focus.peaks[0] : null
  }
  expect(first()).toMatchObject({ known: 'the face', found: expect.closeTo(0.9, 0) })
  expect(first()!.x).toBeCloseTo(FACE.x / SIZE.width, 1)
  expect(first({ noFaces: true })).not.toHaveProperty('known')
  const marked = { name: 'the face', area: { kind: 'rectangle', x: 0.1, y: 0.7, w: 0.1, h: 0.2 } } as const
  expect(first({ faces: [marked] })).not.toHaveProperty('found')
  // The one that is marked is not found a second time.
  const own = { name: 'the child', area: { kind: 'rectangle', x: 0.5, y: 0.2, w: 0.35, h: 0.5 } } as const
  expect(first({ faces: [own] })).toMatchObject({ known: 'the child' })
})
