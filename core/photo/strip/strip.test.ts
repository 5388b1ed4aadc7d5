/** Work photographed with the printed strip beside it: the strip found, read, and what it says of itself. */
import { beforeAll, describe, expect, it } from 'vitest'
import { pieceNamed } from '../../../demo/manifest'
import { renderPiece } from '../../../demo/render'
import { photographBesideStrip } from '../../../tests/photos/beside-strip'
import { differenceBetween, kitchenLight, LIGHTS } from '../../../tests/photos/lights'
import { workOf, type Work } from '../../../tests/photos/work'
import { loaded } from '../../../tests/register/pairs'
import { SEEING } from '../../../shared/printed-marks'
import type { Point } from '../../numeric/homography'
import { seededRandom } from '../../numeric/random'
import type { Raster } from '../../picture/raster'
import { correctPhoto } from '../correct'
import { NO_STEPS, type PhotoSteps } from '../steps'
import { stepsInWords } from '../words'
import { findStrip } from './find'
import { readStrip } from './fit'

const SIZE = { width: 2400, height: 1800 }
async function shotOf(light: string, printer: number): Promise<{ work: Work; photo: Raster; corners: Point[] }> {
  const random = seededRandom(12),
    work = workOf(await loaded(await renderPiece(pieceNamed('lemons')), 700), random),
    shot = { ...kitchenLight(random, LIGHTS[light]!, SIZE), tilt: 12, turn: -8 }
  return { work, ...(await photographBesideStrip(work, { light: shot, random, printer })) }
}

describe('the printed strip', () => {
  let work: Work, photo: Raster, corners: Point[], strip: readonly Point[] | null
  beforeAll(async () => {
    ;({ work, photo, corners } = await shotOf('warm lamp', 0.02))
    strip = findStrip(photo, SEEING)
  }, 60_000)

  it('brings colours right by itself, and says how good it is', () => {
    expect(strip).not.toBeNull()
    const steps: PhotoSteps = { ...NO_STEPS, corners, ratio: work.raster.width / work.raster.height }
    const plain = correctPhoto(photo, steps, { edge: 400 }),
      made = correctPhoto(photo, { ...steps, strip }, { edge: 400 })
    expect(differenceBetween(plain.raster, work.raster)).toBeGreaterThan(8)
    expect(differenceBetween(made.raster, work.raster)).toBeLessThan(3)
    expect(made.strip!.before).toBeGreaterThan(8)
    expect(made.strip!.after).toBeLessThan(2.5)
    expect(stepsInWords({ ...steps, strip }, made)).toMatch(
      /^straightened; colours brought right by the printed strip, from \d+\.\d off to \d\.\d \(ΔE00\), the light was warm/
    )
    expect(made.doubts.map(d => d.kind)).not.toContain('cast')
  })

  it('is refused where it was printed without colour, and where a hand lies on it', () => {
    const spoilt = (of: (p: number) => readonly [number, number, number]): Raster => {
      const data = photo.data.slice()
      for (let p = 0; p < photo.width * photo.height; p++) data.set(of(4 * p), 4 * p)
      return { ...photo, data }
    }
    const grey = spoilt(i => [photo.data[i + 1]!, photo.data[i + 1]!, photo.data[i + 1]!])
    expect(() => readStrip(grey, strip!)).toThrow('printed in colour')
    expect(() =>
      readStrip(
        spoilt(() => [255, 255, 255]),
        strip!
      )
    ).toThrow('a hand or a shadow')
  })

  it('is not found where there is none', async () => {
    expect(findStrip(await loaded(await renderPiece(pieceNamed('lemons')), 1600), SEEING)).toBeNull()
  })
})
