/** What shakes a reading, in words, said with it: how near it is to its bound, and what the file has lost. */
import type { Report } from '../measure/report'
import type { PhotoDoubtKind } from '../photo/steps'
import type { PieceKnown } from './piece/known'
import type { Reading } from './reading'
import type { PieceReading } from './stations/piece'

/** Under this long side, in pixels, edges and detail are those of the file, not of the work. */
const SMALL_EDGE = 400
/**
 * A lossy file with fewer bits a pixel than this has lost fine differences: blocks of it are seen beside the original.
 * Our choice.
 */
const FEW_BITS = 0.5
/**
 * This near to its bound, as a share of the scale shown, another photograph of the same picture may fall on the other
 * side.
 */
const AT_BOUND = 0.02

/** Readings that rest on fine differences. */
const FINE = /^(edges|focus|value\.thumbnail|light)/
/** Readings that the light and the lens of a photograph change. */
const PHOTOGRAPHED = /^(temperature|light|value\.(range|black|key)|harmony\.saturation)/
/** What depends on what the picture is about. */
const ABOUT = /^focus\.(path|whites)$/

/**
 * How far a figure is from its bound, as a share of the scale it is shown on, −1 to 1; null without a figure that could
 * be near.
 */
export function marginOf({ figure }: Reading): number | null {
  if (!figure || figure.unit === 'rank' || figure.high <= figure.low) return null
  return (figure.value - figure.standard) / (figure.high - figure.low)
}

/** What a photograph of the work has lost: of which readings, and in words. */
const LOST: Readonly<Record<PhotoDoubtKind, { readonly of: RegExp; readonly words: string }>> = {
  'clipped-lights': { of: /^(value|light|focus\.(whites|contrast))/, words: 'the photograph’s lights are burnt out' },
  'clipped-darks': { of: /^(value|light)/, words: 'the photograph’s darks are drowned in black' },
  cast: {
    of: /^(temperature|harmony)/,
    words: 'the photograph has the lamp’s colour, and no white was pointed out in it'
  },
  glare: { of: /^(value|focus\.(whites|contrast))/, words: 'a patch of the photograph shines' },
  blur: { of: /^(edges|focus)/, words: 'the photograph is not sharp' },
  small: { of: /^(edges|focus)/, words: 'the sheet is small in the photograph' }
}

function doubtsOf(reading: PieceReading, { picture }: Report, known: PieceKnown): string[] {
  const { sourceWidth, sourceHeight, bitsPerPixel, photograph, shaken = [] } = picture,
    small = Math.max(sourceWidth, sourceHeight) < SMALL_EDGE,
    compressed = bitsPerPixel !== undefined && bitsPerPixel < FEW_BITS,
    fine = FINE.test(reading.id),
    margin = marginOf(reading),
    fault = reading.verdict !== 'works'
  return [
    fault && margin !== null && Math.abs(margin) <= AT_BOUND ? 'it is just at its bound' : '',
    small && fine ? `the file is small, ${sourceWidth} × ${sourceHeight} pixels` : '',
    compressed && fine ? 'the file is strongly compressed' : '',
    photograph && PHOTOGRAPHED.test(reading.id) ? 'it is a photograph, and has the light of the room in it' : '',
    ...shaken.map(kind => (LOST[kind].of.test(reading.id) ? LOST[kind].words : '')),
    fault && ABOUT.test(reading.id) && known.focus === null ? 'nobody has marked what the picture is about' : ''
  ].filter(doubt => doubt !== '')
}

/** The reading with what shakes it; a fault just at its bound is a question, not a fault. */
export function withDoubts(reading: PieceReading, report: Report, known: PieceKnown): PieceReading {
  const doubts = doubtsOf(reading, report, known),
    margin = marginOf(reading)
  const atBound = margin !== null && Math.abs(margin) <= AT_BOUND
  return {
    ...reading,
    ...(margin === null ? {} : { margin: Math.round(margin * 1000) / 1000 }),
    ...(doubts.length > 0 ? { doubts } : {}),
    ...(atBound && reading.verdict === 'fix' ? { verdict: 'look' as const } : {})
  }
}
