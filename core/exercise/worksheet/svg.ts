/** A worksheet drawn, in millimetres: the same drawing for the page, the file and the printed document. */
import { convertLinearToSrgb, formatHex, hexOfLinear } from '../../colour/srgb'
import { stepAt } from '../../wheel/wheel'
import { strongAt } from './mixtures'
import { writeCode } from './code'
import { TEXT } from './layout'
import type { Line, Marker, Place, PrintedWheel, Worksheet } from './worksheet'
import type { WheelName } from '../../wheel/steps'

const INK = '#111111',
  QUIET = '#5e5e5e',
  OUTLINE = 0.25
const MM_OF_POINT = 0.3528

const n = (value: number): string => `${Math.round(value * 1000) / 1000}`
const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;')
const rectangle = ({ x, y, w, h }: Place, fill: string, more = ''): string =>
  `<rect x="${n(x)}" y="${n(y)}" width="${n(w)}" height="${n(h)}" fill="${fill}"${more}/>`
const outlined = (place: Place, more = ''): string =>
  rectangle(place, 'none', ` stroke="${INK}" stroke-width="${OUTLINE}"${more}`)

/** What printed marks look like: given, since it is a library's. @property markerBits by rows, '1' for white. @property codeModules by rows, true for dark. */
export interface Printing {
  readonly markerBits: (id: number) => string
  readonly codeModules: (text: string) => readonly (readonly boolean[])[]
}

/** Dark with its bits in white, one module of dark around them. */
function markerSvg({ x, y, w }: Marker, bits: string): string {
  const side = Math.sqrt(bits.length),
    module = w / (side + 2)
  const white = [...bits].flatMap((bit, i) =>
    bit === '1'
      ? [
          `M${n(x + (1 + (i % side)) * module)} ${n(y + (1 + Math.floor(i / side)) * module)}h${n(module)}v${n(module)}h${n(-module)}z`
        ]
      : []
  )
  return `${rectangle({ x, y, w, h: w }, '#000000')}<path d="${white.join('')}" fill="#ffffff"/>`
}

function codeSvg(rows: readonly (readonly boolean[])[], { x, y, w }: Place): string {
  const module = w / rows.length
  const dark = rows.flatMap((row, j) =>
    row.flatMap((on, i) =>
      on ? [`M${n(x + i * module)} ${n(y + j * module)}h${n(module)}v${n(module)}h${n(-module)}z`] : []
    )
  )
  return `<path d="${dark.join('')}" fill="#000000"/>`
}

/** Letters that the printed document's latin files have not stand in the extended ones. */
const EXTENDED = /[\u0100-\u0130\u0132-\u0151\u0154-\u024f]+/g
const inFiles = (text: string, family: string): string =>
  escaped(text).replace(EXTENDED, run => `<tspan font-family="${family}Extended">${run}</tspan>`)

function textSvg({ x, y, size, text, family, middle }: Line): string {
  const fill = middle ? QUIET : INK
  return `<text x="${n(x)}" y="${n(y)}" font-family="${family}" font-size="${n(size * MM_OF_POINT)}" fill="${fill}"${middle ? ' text-anchor="middle"' : ''}>${inFiles(text, family)}</text>`
}

/** Twelve sectors with their names; a line points at each colour of the scheme. */
function wheelSvg({ x, y, radius, at }: PrintedWheel, wheel: WheelName): string {
  const point = (deg: number, r: number): readonly [number, number] => {
    const turn = (deg * Math.PI) / 180
    return [x + r * Math.sin(turn), y - r * Math.cos(turn)]
  }
  const sectors = Array.from({ length: 12 }, (_, i) => {
    const [a, b] = [30 * i - 15, 30 * i + 15],
      inner = radius * 0.6
    const [x0, y0] = point(a, radius),
      [x1, y1] = point(b, radius),
      [x2, y2] = point(b, inner),
      [x3, y3] = point(a, inner)
    const path = `<path d="M${n(x0)} ${n(y0)}A${radius} ${radius} 0 0 1 ${n(x1)} ${n(y1)}L${n(x2)} ${n(y2)}A${n(inner)} ${n(inner)} 0 0 0 ${n(x3)} ${n(y3)}Z" fill="${hexOfLinear(strongAt(wheel, 30 * i))}" stroke="#ffffff" stroke-width="0.3"/>`
    const [tx, ty] = point(30 * i, radius + 2),
      side = Math.sin((30 * i * Math.PI) / 180)
    const anchor = Math.abs(side) < 0.1 ? 'middle' : side > 0 ? 'start' : 'end'
    const size = TEXT.label * MM_OF_POINT
    return `${path}<text x="${n(tx)}" y="${n(ty + size * 0.36 - 0.6 * Math.cos((30 * i * Math.PI) / 180))}" font-family="Sans" font-size="${n(size)}" fill="${INK}" text-anchor="${anchor}">${stepAt(wheel, 30 * i)}</text>`
  })
  const lines = at.map((deg, i) => {
    const [px, py] = point(deg, radius * 0.56)
    return `<path d="M${n(x)} ${n(y)}L${n(px)} ${n(py)}" stroke="${INK}" stroke-width="${i === 0 ? 0.7 : 0.3}" fill="none"/>`
  })
  return sectors.join('') + lines.join('')
}

/**
 * @param printing draws the marks. @param answers true for the instructor's key: each box in its wanted colour.
 * @returns an SVG document in millimetres.
 */
export function worksheetSvg(sheet: Worksheet, printing: Printing, answers = false): string {
  const { width, height, boxes, frames, lines, greys, markers, codePlace, wheel, settings, code } = sheet
  const gradients = answers
    ? boxes.flatMap(({ wanted }, i) =>
        wanted.kind === 'run'
          ? [
              `<linearGradient id="run${i}"><stop offset="0" stop-color="${wanted.from}"/><stop offset="0.5" stop-color="${wanted.hex}"/><stop offset="1" stop-color="${wanted.to}"/></linearGradient>`
            ]
          : []
      )
    : []
  const grey = (linear: number): string => {
    const byte = Math.round(255 * convertLinearToSrgb(linear))
    return formatHex([byte, byte, byte])
  }
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}">`,
    gradients.length ? `<defs>${gradients.join('')}</defs>` : '',
    ...greys.map(g => rectangle(g, grey(g.linear))),
    ...(answers
      ? boxes.map((box, i) => rectangle(box, box.wanted.kind === 'run' ? `url(#run${i})` : box.wanted.hex))
      : []),
    ...boxes.map(box => outlined(box)),
    ...frames.map(frame => outlined(frame, ' stroke-dasharray="1.5 1"')),
    wheel ? wheelSvg(wheel, settings.wheel) : '',
    ...markers.map(marker => markerSvg(marker, printing.markerBits(marker.id))),
    codeSvg(printing.codeModules(writeCode(code)), codePlace),
    ...lines.map(textSvg),
    '</svg>'
  ].join('')
}
