/** Foreground, middle and background as marked areas: do they step back? */
import { chromaOf } from '../../colour/oklab'
import { temperatureOf } from '../../colour/temperature'
import { eachPixel, spansOf, type Area } from '../../picture/area'
import { percentile, valueDistribution } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import { meanOf } from './separation'

export type DepthName = 'near' | 'middle' | 'far'

export interface DepthStep {
  readonly name: DepthName
  readonly value: number
  readonly range: number
  readonly temperature: number
  readonly chroma: number
}

export interface DepthLadder {
  readonly steps: readonly DepthStep[]
  /** The middle's value lies between the others'; null unless all three are marked. */
  readonly inOrder: boolean | null
  /** Far is warmer, or more saturated, than near; null unless both are marked. */
  readonly farWarmer: boolean | null
  readonly farStronger: boolean | null
}

/** Differences under these are no step back or forth. */
const SAME_TEMPERATURE = 3
const SAME_CHROMA = 0.01

export function measureDepth(
  areas: Readonly<Partial<Record<DepthName, Area>>>,
  planes: Planes,
  raster: Raster
): DepthLadder {
  const steps = (['near', 'middle', 'far'] as const).flatMap(name => {
    const area = areas[name]
    if (!area) return []
    const spans = spansOf(area, planes)
    const mean = meanOf(spans, planes, raster)
    if (!mean) return []
    const inside = new Uint8Array(planes.mask.length)
    eachPixel(spans, i => {
      inside[i] = planes.mask[i]
    })
    const d = valueDistribution(planes.value, inside)
    return [
      {
        name,
        value: mean.value,
        range: percentile(d, 0.95) - percentile(d, 0.05),
        temperature: temperatureOf(mean.oklab),
        chroma: chromaOf(mean.oklab)
      }
    ]
  })
  const [near, middle, far] = (['near', 'middle', 'far'] as const).map(name => steps.find(s => s.name === name))
  return {
    steps,
    inOrder: near && middle && far ? (middle.value - near.value) * (middle.value - far.value) <= 0 : null,
    farWarmer: near && far ? far.temperature > near.temperature + SAME_TEMPERATURE : null,
    farStronger: near && far ? far.chroma > near.chroma + SAME_CHROMA : null
  }
}
