/** Small helpers for composing a scene as SVG. */

export interface Scene {
  readonly width: number
  readonly height: number
  /** SVG content without the outer element. */
  readonly body: string
}

let nextId = 0

/** A vertical gradient; stops from top to bottom. @returns [definition, fill value]. */
export function fade(...stops: string[]): [definition: string, fill: string] {
  const id = `g${nextId++}`
  const list = stops.map((colour, i) => `<stop offset="${i / (stops.length - 1)}" stop-color="${colour}"/>`).join('')
  return [`<linearGradient id="${id}" x1="0" y1="0" x2="0" y2="1">${list}</linearGradient>`, `url(#${id})`]
}

export const rect = (x: number, y: number, w: number, h: number, fill: string): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}"/>`
export const poly = (points: string, fill: string): string => `<polygon points="${points}" fill="${fill}"/>`
export const path = (d: string, fill: string): string => `<path d="${d}" fill="${fill}"/>`
export const ellipse = (cx: number, cy: number, rx: number, ry: number, fill: string): string =>
  `<ellipse cx="${cx}" cy="${cy}" rx="${rx}" ry="${ry}" fill="${fill}"/>`
export const line = (d: string, stroke: string, width: number): string =>
  `<path d="${d}" stroke="${stroke}" stroke-width="${width}" fill="none" stroke-linecap="round"/>`

/** Rows of short level dashes: light on water, boards, tiles. Deterministic. */
export function dashes(
  x: number,
  y: number,
  w: number,
  h: number,
  rows: number,
  colour: string,
  opacity: number
): string {
  let out = ''
  for (let r = 0; r < rows; r++) {
    const length = w * (0.12 + 0.3 * Math.abs(Math.sin(r * 2.7)))
    const at = x + (w - length) * Math.abs(Math.sin(r * 5.3 + 1))
    out += `<rect x="${at.toFixed(1)}" y="${(y + (h * r) / rows).toFixed(1)}" width="${length.toFixed(1)}" height="${(2 + (5 * r) / rows).toFixed(1)}" fill="${colour}" opacity="${opacity}"/>`
  }
  return out
}

export function svgOf({ width, height, body }: Scene): string {
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${body}</svg>`
}
