/** The planted faults are found by the measures, and the pictures are the same every time. */
import { createHash } from 'node:crypto'
import { beforeAll, describe, expect, it } from 'vitest'
import { nothingKnown, type PieceKnown } from '../core/critique/piece/known'
import { measurePiece, type PieceMeasures } from '../core/critique/piece/measure'
import { readingsOfPiece } from '../core/critique/stations/readings'
import { DEFAULT_STANDARDS } from '../core/critique/standards'
import {
  isMeasured,
  type FocusSection,
  type HarmonySection,
  type LightSection,
  type Report,
  type ValueSection
} from '../core/measure/report'
import { checkHandIn, PLAIN_SETTINGS } from '../core/exercise'
import { hueHistogram } from '../core/measure/harmony/hues'
import { planesOf } from '../core/picture/planes'
import { decodePicture, READABLE, type Decoded } from '../server/work/decode'
import { reportSchema } from '../shared/report'
import { PIECES, pieceNamed, type Fault } from './manifest'
import { paintPiece, renderPiece } from './render'

interface Measured extends Decoded {
  readonly report: Report
  readonly known: PieceKnown
  readonly measures: PieceMeasures
}
const measured = new Map<string, Measured>()

beforeAll(async () => {
  for (const piece of PIECES) {
    const decoded = (await decodePicture(await renderPiece(piece), READABLE)) as Decoded
    const stray = piece.faults.find(f => f.kind === 'stray-focus'),
      light = piece.faults.find(f => f.kind === 'leaves-light')
    const known: PieceKnown = {
      ...nothingKnown('painter'),
      focus: stray?.intended ?? null,
      areas: piece.faults.flatMap((f, id) => (f.kind === 'merges' ? [{ id, name: f.name, area: f.area }] : [])),
      pairs: light?.pairs ?? []
    }
    const measures = measurePiece({
      pixels: { raster: decoded.raster, planes: planesOf(decoded.raster) },
      source: decoded.source,
      known
    })
    measured.set(piece.key, { ...decoded, known, measures, report: reportSchema.parse(measures.report) })
  }
}, 240_000)

const sentences = ({ measures, known }: Measured): string =>
  readingsOfPiece(measures, known, DEFAULT_STANDARDS)
    .map(r => r.sentence)
    .join(' ')
const carries = (kind: Fault['kind']) => PIECES.filter(p => p.faults.some(f => f.kind === kind)).map(p => p.key)
const valueOf = (key: string): ValueSection => measured.get(key)!.report.value as ValueSection
const harmonyOf = (key: string): HarmonySection => measured.get(key)!.report.harmony as HarmonySection

describe('planted faults', () => {
  it.each(carries('narrow-range'))('narrow range in %s', key => {
    expect(valueOf(key).verdict).toBe('narrow')
    expect(sentences(measured.get(key)!)).toContain('The range is narrow')
  })

  it.each(carries('merges'))('a figure that merges in %s', key => {
    const [separation] = measured.get(key)!.report.separation!
    expect(isMeasured(separation) && separation.merges).toBe(true)
  })

  it('flat black in the loft, and in no other picture', () => {
    for (const { key } of PIECES) expect(valueOf(key).nearBlack > 0.02, key).toBe(key === 'loft')
  })

  it('all vivid in equal amounts on the market, and nowhere else', () => {
    for (const { key } of PIECES) expect(harmonyOf(key).saturation.vivid > 0.5, key).toBe(key === 'market')
    expect(sentences(measured.get('market')!)).toMatch(/Equal amounts:.*everything shouts/)
  })

  it('one dull colour in the fog', () => {
    expect(sentences(measured.get('fog')!)).toContain('misses an accent')
  })

  it.each(carries('stray-focus'))('an eye that strays in %s', key => {
    const fault = pieceNamed(key).faults.find(f => f.kind === 'stray-focus')!
    const { rank, competitors } = measured.get(key)!.report.focus as FocusSection
    expect(rank).not.toBe(1)
    expect(Math.hypot(competitors![0].x - fault.stray.x, competitors![0].y - fault.stray.y)).toBeLessThan(0.08)
    expect(sentences(measured.get(key)!)).toMatch(/the upper right is before it|the upper right takes it/)
  })

  it.each(carries('leaves-light'))('a shadow that leaves the light in %s', key => {
    const fault = pieceNamed(key).faults.find(f => f.kind === 'leaves-light')!
    const { materials } = measured.get(key)!.report.light as LightSection
    expect(
      materials
        .filter(isMeasured)
        .filter(m => m.leaves)
        .map(m => m.name)
    ).toEqual([fault.material])
    expect(sentences(measured.get(key)!)).toContain(
      `${fault.material[0]!.toUpperCase()}${fault.material.slice(1)} leaves the light`
    )
  })

  it('a transparent ground under the gull alone', () => {
    for (const { key } of PIECES) expect(measured.get(key)!.report.picture.transparent > 0.3, key).toBe(key === 'gull')
  })

  it('none of these in the pictures that work', () => {
    for (const key of ['lemons', 'slipway']) {
      expect(valueOf(key).verdict).toBe('full')
      expect(harmonyOf(key).scheme.name).toBe('complementary')
    }
    const { raster, report } = measured.get('buoys')!
    expect(
      checkHandIn(
        { exercise: 'opposites', own: null },
        {
          report,
          raster,
          planes: planesOf(raster),
          hues: hueHistogram(raster, planesOf(raster), 'painter'),
          reference: null,
          studies: 0,
          plan: null
        },
        PLAIN_SETTINGS
      ).every(c => c.passed)
    ).toBe(true)
  })
})

it('paints the same picture from the same seed', async () => {
  const hash = async () =>
    createHash('sha256')
      .update(await paintPiece(pieceNamed('self')))
      .digest('hex')
  expect(await hash()).toBe(await hash())
})
