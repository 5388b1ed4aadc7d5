/** Readings of a learner's pieces over time: each against its standard, and whether it goes anywhere. */
import { readingNoise } from '../compare/noise'
import type { PieceReading } from '../critique/stations/piece'
import type { Station } from '../critique/stations/station'
import type { Unit } from '../critique/unit'
import { trendOf, type Trend } from './trend'

/** What is read of a piece as a whole, by the name it has over a term, and which way is better. */
export const FOLLOWED: Readonly<Record<string, { readonly name: string; readonly wants: 'more' | 'less' }>> = {
  'value.range': { name: 'Range of values', wants: 'more' },
  'value.separation': { name: 'What stands least clear', wants: 'more' },
  'value.thumbnail': { name: 'Contrast left at thumbnail size', wants: 'more' },
  'value.black': { name: 'Flat black', wants: 'less' },
  'value.reference': { name: 'Furthest from the reference', wants: 'less' },
  'focus.contrast': { name: 'Contrast at the focus', wants: 'more' },
  'temperature.light': { name: 'Lights against darks, temperature', wants: 'more' },
  'harmony.scheme': { name: 'Colour inside the scheme', wants: 'more' },
  'harmony.declared': { name: 'Colour kept to the plan', wants: 'more' },
  'harmony.proportion': { name: 'Lead of the first colour', wants: 'more' },
  'harmony.saturation': { name: 'Vivid colour', wants: 'less' },
  'light.one': { name: 'Shadows off the one light', wants: 'less' },
  'edges.lines': { name: 'Contrast carried by lines', wants: 'less' },
  'edges.cutout': { name: 'Edges cut out', wants: 'less' }
}

export interface ReadPiece {
  readonly id: number
  readonly title: string
  /** When it was handed in, ISO. */
  readonly at: string
  readonly readings: readonly PieceReading[]
}

export interface ReadingLine {
  /** Of the reading. */
  readonly id: string
  readonly name: string
  readonly station: Station
  readonly unit: Unit
  readonly wants: 'more' | 'less'
  /** The latest standard: beyond it, the way that is better, it is well. */
  readonly standard: number
  readonly low: number
  readonly high: number
  readonly points: readonly { readonly piece: number; readonly at: string; readonly value: number }[]
  /** Null for fewer than three points. */
  readonly trend: Trend | null
}

/** Where one reading is said of several places, the worst of them. */
function worstOf(readings: readonly PieceReading[], wants: 'more' | 'less') {
  const found = readings.flatMap(r => (r.figure ? [{ figure: r.figure, station: r.station }] : [])),
    sign = wants === 'more' ? 1 : -1
  return found.sort((p, q) => sign * (p.figure.value - q.figure.value))[0] ?? null
}

/** @param pieces in any order. @returns lines with a point at least, in the order of FOLLOWED. */
export function linesOf(pieces: readonly ReadPiece[]): ReadingLine[] {
  const inTime = [...pieces].sort((p, q) => p.at.localeCompare(q.at))
  return Object.entries(FOLLOWED).flatMap(([id, { name, wants }]) => {
    const read = inTime.flatMap(({ id: piece, at, readings }) => {
      const worst = worstOf(
        readings.filter(r => r.id === id),
        wants
      )
      return worst ? [{ piece, at, ...worst }] : []
    })
    const latest = read.at(-1)
    if (!latest) return []
    const { figure, station } = latest,
      values = read.map(r => r.figure.value)
    return [
      {
        id,
        name,
        station,
        unit: figure.unit,
        wants,
        standard: figure.standard,
        low: Math.min(figure.low, ...values),
        high: Math.max(figure.high, ...values),
        points: read.map(r => ({ piece: r.piece, at: r.at, value: r.figure.value })),
        trend: trendOf(values, readingNoise(id, figure))
      }
    ]
  })
}
