/** The page that strips are cut from: a strip for the studio, one for the school, one for the bag. Millimetres. */
import { element } from '../../export/drawing'
import { TEXT, wrap } from '../../exercise/worksheet/frame'
import { markerSvg, outlined, rectangle, textSvg, type Printing } from '../../exercise/worksheet/svg'
import { PAPER_SIZE, type Line, type Paper } from '../../exercise/worksheet/worksheet'
import { COLOUR_PATCHES, GREY_PATCHES, STRIP, STRIP_MARKERS } from './strip'

const STRIPS = 3,
  /** From the page's top to the first strip, and from one to the next. */
  FIRST = 90,
  EVERY = 62
const TITLE = 'A strip of greys and colours'
const STEPS = [
  'Print this page in colour on plain white paper, at full size, with nothing improved or saved by the printer.',
  'Cut a strip out along its line. Children are helped with blades.',
  'Lay it flat beside the picture, in the same light, all of it in the photograph, no hand or shadow on it.',
  'Hand the photograph in as always: the strip is found, and colours are brought right by it.',
  'It is as good as the printer. Keep it in an envelope: greys fade in the sun. Print a new one when it is stained.'
]

const strip = (printing: Printing): string =>
  [
    ...[...GREY_PATCHES, ...COLOUR_PATCHES].map(({ hex, ...place }) => rectangle(place, { fill: hex })),
    ...STRIP_MARKERS.map(marker => markerSvg(marker, printing.markerBits(marker.id)))
  ].join('')

/** One strip by itself, without its line. */
export const stripSvg = (printing: Printing): string =>
  element(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: `${STRIP.width}mm`,
      height: `${STRIP.height}mm`,
      viewBox: `0 0 ${STRIP.width} ${STRIP.height}`
    },
    rectangle({ x: 0, y: 0, w: STRIP.width, h: STRIP.height }, { fill: '#ffffff' }) + strip(printing)
  )

export function stripPageSvg(paper: Paper, printing: Printing): string {
  const { width, height } = PAPER_SIZE[paper],
    left = (width - STRIP.width) / 2,
    at = { x: left, width: width - 2 * left }
  const lines: Line[] = [{ ...at, y: 22, size: TEXT.title, text: TITLE, family: 'Serif' }]
  let y = 33
  STEPS.forEach((step, i) => {
    for (const text of wrap(`${i + 1}. ${step}`, at.width, TEXT.words + 2)) {
      lines.push({ ...at, y, size: TEXT.words + 2, text, family: 'Sans' })
      y += 5
    }
    y += 2
  })
  const strips = Array.from({ length: STRIPS }, (_, i) =>
    element(
      'g',
      { transform: `translate(${left} ${FIRST + i * EVERY})` },
      [
        strip(printing),
        outlined({ x: 0, y: 0, w: STRIP.width, h: STRIP.height }, { 'stroke-dasharray': '1.5 1' })
      ].join('')
    )
  )
  const page = { xmlns: 'http://www.w3.org/2000/svg', width: `${width}mm`, height: `${height}mm` }
  return element('svg', { ...page, viewBox: `0 0 ${width} ${height}` }, [...lines.map(textSvg), ...strips].join(''))
}
