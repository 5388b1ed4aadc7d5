/**
 * Small charts of the sheet as SVG: the values with their range, the colour families on the wheel, a figure against its
 * standard.
 */
import { element, pathOf, pointAt } from '../../../core/export/drawing'
import { hexOfLinear } from '../../../core/colour/srgb'
import { convertValueToLuminance } from '../../../core/colour/lab'
import type { Figure } from '../../../core/critique/reading'
import { linesOfMark, tagPointOf, type Mark } from '../../../core/critique/mark'
import type { HarmonySection, ValueSection } from '../../../core/measure/report'
import { isMeasured } from '../../../core/measure/report'
import type { Area } from '../../../core/picture/area'
import { colourAt } from '../../../core/wheel/wheel'
import type { WheelName } from '../../../core/wheel/steps'

const INK = '#111111',
  CASING = '#f3f3f3'
const greyOf = (value: number): string => {
  const Y = convertValueToLuminance(value)
  return hexOfLinear([Y, Y, Y])
}
/** How a mark's tag is set. */
const TAG = { 'font-family': 'Sans', 'font-weight': 'bold', 'font-size': 9 } as const
const svg = (width: number, height: number, body: string): string =>
  element('svg', { xmlns: 'http://www.w3.org/2000/svg', width, height, viewBox: `0 0 ${width} ${height}` }, body)

export interface SheetMark {
  readonly tag: string
  readonly area: Area | null
  readonly mark: Mark | null
}

/** Marks and tags over a picture shown `width` × `height` points large. */
export function marksSvg(marks: readonly SheetMark[], width: number, height: number): string {
  const size = { width, height }
  const body = marks
    .filter(m => m.area)
    .map(({ tag, area, mark }) => {
      const lines = linesOfMark(mark, area, size)
        .map(({ points, closed, filled }) => {
          const ends = points.map(([x, y]) => `${(x * width).toFixed(1)} ${(y * height).toFixed(1)}`).join('L'),
            d = `M${ends}${closed ? 'Z' : ''}`
          return (
            element('path', { d, fill: 'none', stroke: CASING, 'stroke-width': 2.4 })
            + element('path', { d, fill: filled ? INK : 'none', stroke: INK, 'stroke-width': 1 })
          )
        })
        .join('')
      const [x, y] = tagPointOf(mark, area!),
        w = 7 + 6 * tag.length,
        left = Math.min(width - w, Math.max(0, x * width)),
        top = Math.max(0, y * height - 13)
      return [
        lines,
        element('rect', { x: left, y: top, width: w, height: 13, fill: INK, stroke: CASING, 'stroke-width': 0.7 }),
        element('text', { x: left + 3.5, y: top + 9.6, ...TAG, fill: CASING }, tag)
      ].join('')
    })
    .join('')
  return svg(width, height, body)
}

/**
 * A histogram whose bars are painted in the value they count, over the ramp with the range bracketed. @param counts
 * equal bins over L* 0–100.
 */
export function valuesSvg(
  value: ValueSection,
  {
    counts,
    width = 160,
    height = 46
  }: { readonly counts: readonly number[]; readonly width?: number; readonly height?: number }
): string {
  const most = Math.max(1, ...counts),
    bar = width / counts.length,
    top = height - 12
  const bars = counts
    .map((n, i) => {
      const grey = greyOf((100 * (i + 0.5)) / counts.length),
        h = (top * n) / most
      const column = { x: i * bar, fill: grey }
      return (
        element('rect', { ...column, y: top - h, width: bar, height: h, stroke: '#777777', 'stroke-width': 0.15 })
        + element('rect', { ...column, y: top + 2, width: bar + 0.1, height: 7 })
      )
    })
    .join('')
  const x = (value.darkest / 100) * width,
    w = Math.max(1, (value.range / 100) * width)
  const bracket = element('rect', { x, y: top + 1, width: w, height: 9, fill: 'none', stroke: INK, 'stroke-width': 1 })
  return svg(width, height, bars + bracket)
}

/** The colour families as arcs as long as their weight, yellow at the top. */
export function familiesSvg(harmony: HarmonySection, wheel: WheelName, size = 54): string {
  const r = size / 2 - 6,
    c = size / 2,
    around = 2 * Math.PI * r
  const arcs = (isMeasured(harmony.families) ? harmony.families : [])
    .map(f => {
      const colour = hexOfLinear(
        colourAt(wheel, {
          positionDeg: f.position,
          lightness: 0.66,
          chroma: Math.max(0.06, Math.min(0.16, f.chroma * 1.4))
        })
      )
      const length = Math.max(2, f.weight * around),
        half = (180 * length) / around,
        [from, to] = [-half, half].map(by => pointAt({ x: c, y: c }, f.position + by, r))
      const d = pathOf('M', ...from, 'A', ...[r, r, 0, half > 90 ? 1 : 0, 1], ...to)
      return element('path', { d, fill: 'none', stroke: colour, 'stroke-width': 9 })
    })
    .join('')
  const ring = element('circle', { cx: c, cy: c, r, fill: 'none', stroke: '#c6c6c6', 'stroke-width': 1 })
  return svg(size, size, ring + arcs)
}

/** A number against its standard: a filled bar, and a tick where the standard stands. */
export function figureSvg({ value, standard, low, high }: Figure, width = 150): string {
  const at = (v: number): number => Math.min(width, Math.max(0, (width * (v - low)) / (high - low)))
  const bar = { x: 0, y: 3, height: 3.4 }
  return svg(
    width,
    9,
    element('rect', { ...bar, width, fill: '#dddddd' })
      + element('rect', { ...bar, width: at(value), fill: '#474747' })
      + element('rect', { x: at(standard) - 0.8, y: 0.5, width: 1.6, height: 8, fill: INK })
  )
}
