/** What is said of the piece as a whole: its margin, and what carries it where nothing is to be changed. */
import type { Report } from '../../../measure/report'
import { praiseOf } from '../../first'
import type { Reading } from '../../reading'
import { placed, type PieceReading } from '../piece'

const WHY = {
  margin:
    'Paper, mat and frame are part of the file and not of the work.'
    + ' Counted with it they lend it lights and edges it does not have.',
  carries: 'A critique that finds nothing to change says what should be kept.'
}

function marginReading({ picture: { inside } }: Report): Reading | null {
  if (!inside) return null
  return {
    id: 'picture.margin',
    station: 'verdict',
    verdict: 'works',
    why: WHY.margin,
    trains: [],
    sentence: 'The margin is part of the file: the picture is measured without it.'
  }
}

/** Said where nothing is wrong: then there is one thing that carries the picture. */
function carriesReading(readings: readonly PieceReading[]): Reading | null {
  if (readings.some(r => r.verdict !== 'works')) return null
  const [best] = praiseOf(readings, 1)
  return {
    id: 'picture.carries',
    station: 'verdict',
    verdict: 'works',
    why: WHY.carries,
    trains: [],
    sentence: best
      ? 'Nothing here asks for a correction.'
        + ` What carries it: ${best.sentence.charAt(0).toLowerCase()}${best.sentence.slice(1)}`
      : 'Nothing here asks for a correction.',
    ...(best?.evidence ? { evidence: best.evidence } : {}),
    ...(best?.points ? { points: best.points } : {})
  }
}

export const wholeReadings = (readings: readonly PieceReading[], report: Report): PieceReading[] =>
  readings.length === 0 ? [] : placed('picture', [marginReading(report), carriesReading(readings)])
