/** Writing drawings as SVG: an element and its attributes, rings cut into sectors. */

type Attribute = string | number | undefined

const rounded = (v: number): number => Math.round(v * 1000) / 1000

/**
 * @param attributes numbers are rounded to a thousandth; undefined ones are left out.
 * @param inner what stands in it, written already.
 */
export function element(name: string, attributes: Readonly<Record<string, Attribute>>, inner?: string): string {
  const written = Object.entries(attributes)
    .flatMap(([key, v]) => (v === undefined ? [] : [` ${key}="${typeof v === 'number' ? rounded(v) : v}"`]))
    .join('')
  return inner === undefined ? `<${name}${written}/>` : `<${name}${written}>${inner}</${name}>`
}

/** Letters and numbers of a path, as in `pathOf('M', x, y, 'L', u, v)`. */
export const pathOf = (...parts: readonly (string | number)[]): string =>
  parts.map(p => (typeof p === 'number' ? rounded(p) : p)).join(' ')

export interface Ring {
  readonly x: number
  readonly y: number
  readonly outer: number
  readonly inner: number
}
/** A point of a circle about a ring's middle: degrees clockwise from the top. */
export function pointAt({ x, y }: Pick<Ring, 'x' | 'y'>, degrees: number, radius: number): [number, number] {
  const turn = (degrees * Math.PI) / 180
  return [x + radius * Math.sin(turn), y - radius * Math.cos(turn)]
}

/** A piece of a ring, of less than half of it. @param from, to degrees clockwise from the top. */
export function sectorPath(ring: Ring, from: number, to: number): string {
  const { outer, inner } = ring
  return pathOf(
    'M',
    ...pointAt(ring, from, outer),
    'A',
    ...[outer, outer, 0, 0, 1],
    ...pointAt(ring, to, outer),
    'L',
    ...pointAt(ring, to, inner),
    'A',
    ...[inner, inner, 0, 0, 0],
    ...pointAt(ring, from, inner),
    'Z'
  )
}
