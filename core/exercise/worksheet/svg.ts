/** A worksheet drawn, in millimetres: the same drawing for the page, the file and the printed document. */
import { convertLinearToSrgb, formatHex, hexOfLinear } from '../../colour/srgb'
import { element, pathOf, pointAt, sectorPath } from '../../export/drawing'
import { stepAt } from '../../wheel/wheel'
import { strongAt } from './mixtures'
import { TEXT } from './frame'
import type { Line, Marker, Place, PrintedSheet, PrintedWheel, Wanted } from './worksheet'

const INK = '#111111',
  QUIET = '#5e5e5e',
  OUTLINE = 0.25
const MM_OF_POINT = 0.3528

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
type Style = Readonly<Record<string, string | number>>
export const rectangle = ({ x, y, w, h }: Place, style: Style): string =>
  element('rect', { x, y, width: w, height: h, ...style })
export const outlined = (place: Place, more: Style = {}): string =>
  rectangle(place, { fill: 'none', stroke: INK, 'stroke-width': OUTLINE, ...more })
/** A square of a mark, as a piece of a path. */
const square = (x: number, y: number, side: number): string => pathOf('M', x, y, 'h', side, 'v', side, 'h', -side, 'z')

/**
 * What printed marks look like: given, since it is a library's. @property markerBits by rows, '1' for white. @property
 * codeModules by rows, true for dark.
 */
export interface Printing {
  readonly markerBits: (id: number) => string
  readonly codeModules: (text: string) => readonly (readonly boolean[])[]
}

/** Dark with its bits in white, one module of dark around them. */
export function markerSvg({ x, y, w }: Marker, bits: string): string {
  const side = Math.sqrt(bits.length),
    module = w / (side + 2)
  const white = [...bits].flatMap((bit, i) =>
    bit === '1' ? [square(x + (1 + (i % side)) * module, y + (1 + Math.floor(i / side)) * module, module)] : []
  )
  return rectangle({ x, y, w, h: w }, { fill: '#000000' }) + element('path', { d: white.join(''), fill: '#ffffff' })
}

function codeSvg(rows: readonly (readonly boolean[])[], { x, y, w }: Place): string {
  const module = w / rows.length
  const dark = rows.flatMap((row, j) =>
    row.flatMap((on, i) => (on ? [square(x + i * module, y + j * module, module)] : []))
  )
  return element('path', { d: dark.join(''), fill: '#000000' })
}

/** Letters that the printed document's latin files have not stand in the extended ones. */
const EXTENDED = /[\u0100-\u0130\u0132-\u0151\u0154-\u024f]+/g
const inFiles = (text: string, family: string): string =>
  escaped(text).replace(EXTENDED, run => `<tspan font-family="${family}Extended">${run}</tspan>`)

export function textSvg({ x, y, size, text, family, middle }: Line): string {
  const set = { x, y, 'font-family': family, 'font-size': size * MM_OF_POINT, fill: middle ? QUIET : INK }
  return element('text', { ...set, 'text-anchor': middle ? 'middle' : undefined }, inFiles(text, family))
}

/** Twelve sectors with their names; a line points at each colour of the scheme. */
export function wheelSvg({ x, y, radius, name: wheel, at }: PrintedWheel): string {
  const ring = { x, y, outer: radius, inner: radius * 0.6 },
    size = TEXT.label * MM_OF_POINT
  const sectors = Array.from({ length: 12 }, (_, i) => {
    const degrees = 30 * i,
      [tx, ty] = pointAt(ring, degrees, radius + 2),
      side = Math.sin((degrees * Math.PI) / 180)
    const sector = element('path', {
      d: sectorPath(ring, degrees - 15, degrees + 15),
      fill: hexOfLinear(strongAt(wheel, degrees)),
      stroke: '#ffffff',
      'stroke-width': 0.3
    })
    const name = {
      x: tx,
      y: ty + size * 0.36 - 0.6 * Math.cos((degrees * Math.PI) / 180),
      'font-family': 'Sans',
      'font-size': size,
      fill: INK,
      'text-anchor': Math.abs(side) < 0.1 ? 'middle' : side > 0 ? 'start' : 'end'
    }
    return sector + element('text', name, stepAt(wheel, degrees))
  })
  const lines = at.map((degrees, i) =>
    element('path', {
      d: pathOf('M', x, y, 'L', ...pointAt(ring, degrees, radius * 0.56)),
      stroke: INK,
      'stroke-width': i === 0 ? 0.7 : 0.3,
      fill: 'none'
    })
  )
  return sectors.join('') + lines.join('')
}

/** What a run is to look like: from one colour to another. */
function gradient({ from, hex, to }: Extract<Wanted, { kind: 'run' }>, id: string): string {
  const stops = [from, hex, to].map((colour, i) => element('stop', { offset: i / 2, 'stop-color': colour }))
  return element('linearGradient', { id }, stops.join(''))
}

/**
 * @param printing draws the marks. @param answers true for the instructor's key: each box in its wanted colour.
 * @returns an SVG document in millimetres.
 */
export function worksheetSvg(sheet: PrintedSheet, printing: Printing, answers = false): string {
  const { width, height, boxes, patches = [], frames, lines, greys, markers, codePlace, wheel, text } = sheet
  const gradients = boxes.flatMap(({ wanted }, i) =>
    answers && wanted.kind === 'run' ? [gradient(wanted, `run${i}`)] : []
  )
  const grey = (linear: number): string => {
    const byte = Math.round(255 * convertLinearToSrgb(linear))
    return formatHex([byte, byte, byte])
  }
  const drawn = [
    gradients.length ? element('defs', {}, gradients.join('')) : '',
    ...greys.map(g => rectangle(g, { fill: grey(g.linear) })),
    ...patches.map(({ hex, ...place }) => rectangle(place, { fill: hex })),
    ...(answers
      ? boxes.map((box, i) => rectangle(box, { fill: box.wanted.kind === 'run' ? `url(#run${i})` : box.wanted.hex }))
      : []),
    ...boxes.map(box => outlined(box)),
    ...frames.map(frame => outlined(frame, { 'stroke-dasharray': '1.5 1' })),
    wheel ? wheelSvg(wheel) : '',
    ...markers.map(marker => markerSvg(marker, printing.markerBits(marker.id))),
    codeSvg(printing.codeModules(text), codePlace),
    ...lines.map(textSvg)
  ]
  const page = { xmlns: 'http://www.w3.org/2000/svg', width: `${width}mm`, height: `${height}mm` }
  return element('svg', { ...page, viewBox: `0 0 ${width} ${height}` }, drawn.join(''))
}
