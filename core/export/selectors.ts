/**
 * Areas and marks as selectors of the Web Annotation model, and back: a fragment for a rectangle, SVG for everything
 * else.
 */
import { areaOfMark, MARK_REACH, type Mark } from '../critique/mark'
import type { Area, FractionPoint } from '../picture/area'

interface Size {
  readonly width: number
  readonly height: number
}

/** A millionth of the picture: finer than any pixel of it. */
const percent = (v: number): number => Math.round(v * 1e6) / 1e4
const pixel = (v: number): string => String(Math.round(v * 100) / 100)

export function selectorOf(area: Area, mark: Mark | null, size: Size): object {
  const { width, height } = size,
    at = ([x, y]: FractionPoint): string => `${pixel(x * width)},${pixel(y * height)}`
  const svg = (shape: string): object => ({
    type: 'SvgSelector',
    value: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}">${shape}</svg>`
  })
  if (mark?.kind === 'point')
    return svg(
      `<circle cx="${pixel(mark.at[0] * width)}" cy="${pixel(mark.at[1] * height)}"`
        + ` r="${pixel(MARK_REACH * Math.hypot(width, height))}"/>`
    )
  if (mark?.kind === 'arrow')
    return svg(
      `<line x1="${pixel(mark.from[0] * width)}" y1="${pixel(mark.from[1] * height)}"`
        + ` x2="${pixel(mark.to[0] * width)}" y2="${pixel(mark.to[1] * height)}"/>`
    )
  if (mark?.kind === 'stroke')
    return svg(`<polyline fill="none" points="${mark.points.map(([x, y]) => at([x, y])).join(' ')}"/>`)
  if (area.kind === 'rectangle')
    return {
      type: 'FragmentSelector',
      conformsTo: 'http://www.w3.org/TR/media-frags/',
      value: `xywh=percent:${[area.x, area.y, area.w, area.h].map(percent).join(',')}`
    }
  return svg(`<polygon points="${area.points.map(at).join(' ')}"/>`)
}

export interface Selected {
  readonly area: Area
  readonly mark: Mark | null
}

const NUMBER = '-?\\d+(?:\\.\\d+)?(?:e-?\\d+)?'
const numbers = (text: string): number[] => (text.match(new RegExp(NUMBER, 'gi')) ?? []).map(Number)
const attribute = (tag: string, name: string): string | null =>
  new RegExp(`\\s${name}\\s*=\\s*["']([^"']*)["']`).exec(tag)?.[1] ?? null

function fragmentArea(value: string, { width, height }: Size): Area | null {
  const match = /xywh=(pixel:|percent:)?(.+)$/.exec(value),
    [x, y, w, h] = numbers(match?.[2] ?? '')
  if (!match || h === undefined) return null
  const [sx, sy] = match[1] === 'percent:' ? [100, 100] : [width, height]
  return { kind: 'rectangle', x: x! / sx, y: y! / sy, w: w! / sx, h: h / sy }
}

/** @param value an SVG with one shape; its numbers are pixels of the picture, or of its own view box. */
function svgSelected(value: string, size: Size): Selected | null {
  const box = numbers(attribute(value, 'viewBox') ?? ''),
    [sx, sy] = box.length === 4 ? [box[2]!, box[3]!] : [size.width, size.height]
  const tag = /<(polygon|polyline|line|circle|rect|path)\b[^>]*>/.exec(value),
    of = (name: string): number => Number(attribute(tag?.[0] ?? '', name) ?? 0)
  const marked = (mark: Mark): Selected => ({ mark, area: areaOfMark(mark, size) })
  const pairs = (list: readonly number[]): FractionPoint[] =>
    Array.from({ length: Math.floor(list.length / 2) }, (_, i) => [list[2 * i]! / sx, list[2 * i + 1]! / sy] as const)
  const polygon = (points: FractionPoint[]): Selected | null =>
    points.length >= 3 ? { mark: null, area: { kind: 'polygon', points } } : null
  switch (tag?.[1]) {
    case 'circle':
      return marked({ kind: 'point', at: [of('cx') / sx, of('cy') / sy] })
    case 'line':
      return marked({ kind: 'arrow', from: [of('x1') / sx, of('y1') / sy], to: [of('x2') / sx, of('y2') / sy] })
    case 'rect':
      return {
        mark: null,
        area: { kind: 'rectangle', x: of('x') / sx, y: of('y') / sy, w: of('width') / sx, h: of('height') / sy }
      }
    case 'polyline': {
      const points = pairs(numbers(attribute(tag[0], 'points') ?? ''))
      return points.length > 0 ? marked({ kind: 'stroke', points: points.map(([x, y]) => [x, y, 0.5] as const) }) : null
    }
    case 'polygon':
      return polygon(pairs(numbers(attribute(tag[0], 'points') ?? '')))
    // Only straight lines by absolute places; a curve would have to be guessed at.
    case 'path':
      return /^[\sMLZ\d.,-]*$/.test(attribute(tag[0], 'd') ?? 'C')
        ? polygon(pairs(numbers(attribute(tag[0], 'd')!)))
        : null
    default:
      return null
  }
}

/** @returns null for a selector that is none of these. */
export function selectedBy(selector: unknown, size: Size): Selected | null {
  for (const one of Array.isArray(selector) ? selector : [selector]) {
    const { type, value } = (typeof one === 'object' && one !== null ? one : {}) as { type?: unknown; value?: unknown }
    if (typeof value !== 'string') continue
    const fragment = type === 'FragmentSelector' ? fragmentArea(value, size) : null
    if (fragment) return { area: fragment, mark: null }
    const drawn = type === 'SvgSelector' ? svgSelected(value, size) : null
    if (drawn) return drawn
  }
  return null
}
