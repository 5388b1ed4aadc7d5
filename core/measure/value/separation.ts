/** How far an area stands from the ring around it, or from another area. */
import { differenceOf } from '../../colour/difference'
import { convertLinearToLab } from '../../colour/lab'
import type { Oklab } from '../../colour/oklab'
import { LINEAR_OF_BYTE, type Rgb } from '../../colour/srgb'
import { temperatureOf } from '../../colour/temperature'
import { round1 } from '../../numeric/round'
import { ringOf, spansOf, type Area, type Spans } from '../../picture/area'
import type { Planes } from '../../picture/planes'
import { diagonalOf, type Raster } from '../../picture/raster'
import { notMeasurable, type Measured, type Separation } from '../report'

/** Width of the ring as a share of the diagonal. */
export const RING_SHARE = 0.03

/** House default: under both of these an area merges with its surroundings. */
export const MERGE_STANDARD = { value: 10, deltaE: 12 } as const

export interface AreaMean {
  readonly pixels: number
  /** Mean L*. */
  readonly value: number
  /** Mean of the OKLab axes: hue, chroma and temperature are read from it. */
  readonly oklab: Oklab
  /** Mean light, linear sRGB. */
  readonly linear: Rgb
}

/** Means over the measured pixels of an area, or null when it has none. */
export function meanOf(spans: Spans, planes: Planes, { data }: Raster): AreaMean | null {
  const { width, value, lightness, a, b, mask } = planes
  const linear = LINEAR_OF_BYTE
  let n = 0,
    sv = 0,
    sl = 0,
    sa = 0,
    sb = 0,
    red = 0,
    green = 0,
    blue = 0
  for (let r = 0; r < spans.rows.length; r++) {
    const row = spans.rows[r],
      base = (spans.top + r) * width
    for (let s = 0; s < row.length; s += 2) {
      for (let i = base + row[s], end = base + row[s + 1]; i < end; i++) {
        if (mask[i] === 0) continue
        n++
        sv += value[i]
        sl += lightness[i]
        sa += a[i]
        sb += b[i]
        const p = i * 4
        red += linear[data[p]]
        green += linear[data[p + 1]]
        blue += linear[data[p + 2]]
      }
    }
  }
  return n === 0
    ? null
    : { pixels: n, value: sv / n, oklab: [sl / n, sa / n, sb / n], linear: [red / n, green / n, blue / n] }
}

export const merges = (
  deltaValue: number,
  deltaE: number,
  standard: { value: number; deltaE: number } = MERGE_STANDARD
): boolean => Math.abs(deltaValue) < standard.value && deltaE < standard.deltaE

/** Compares two means in the terms of a separation. */
export function compareMeans(name: string, area: AreaMean, other: AreaMean): Separation {
  const deltaValue = area.value - other.value
  const deltaE = differenceOf(convertLinearToLab(area.linear), convertLinearToLab(other.linear))
  return {
    name,
    value: round1(area.value),
    ring: round1(other.value),
    deltaValue: round1(deltaValue),
    deltaE: round1(deltaE),
    deltaTemperature: round1(temperatureOf(area.oklab) - temperatureOf(other.oklab)),
    merges: merges(deltaValue, deltaE)
  }
}

/** An area against the ring around it. */
export function measureSeparation({
  name,
  area,
  planes,
  raster
}: {
  name: string
  area: Area
  planes: Planes
  raster: Raster
}): Measured<Separation> {
  const spans = spansOf(area, planes)
  const inside = meanOf(spans, planes, raster)
  if (!inside) return notMeasurable(`"${name}" holds no pixel of the picture`)
  const ring = meanOf(ringOf(spans, RING_SHARE * diagonalOf(planes)), planes, raster)
  if (!ring) return notMeasurable(`nothing lies around "${name}" to compare it with`)
  return compareMeans(name, inside, ring)
}
