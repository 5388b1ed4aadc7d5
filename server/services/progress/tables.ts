/** A term as a table for a spreadsheet. A cell that looks like a formula is kept from being one. */
import Papa from 'papaparse'
import { rowOf } from '../../../core/critique/stations/table'
import type { Account } from '../../../shared/account'
import { progressOfClass } from './class'
import { progressOf } from './learner'

const csv = (lines: readonly object[]): string =>
  `${Papa.unparse([...lines], { escapeFormulae: true, newline: '\r\n' })}\r\n`

/** A line a reading of a piece. */
export async function learnerTable(account: Account, learnerId: number): Promise<{ text: string; className: string }> {
  const { learner, pieces, lines } = await progressOf(account, learnerId),
    titles = new Map(pieces.map(p => [p.id, p]))
  const text = csv(
    lines.flatMap(({ name, unit, standard, points }) =>
      points.map(({ piece, at, value }) => ({
        piece: titles.get(piece)?.title ?? '',
        version: titles.get(piece)?.version ?? 1,
        'handed in': at.slice(0, 10),
        reading: name,
        value,
        unit,
        standard
      }))
    )
  )
  return { text, className: learner.name }
}

/** A line a learner and station. */
export async function classTable(account: Account, classId: number): Promise<{ text: string; className: string }> {
  const { name, learners } = await progressOfClass(account, classId)
  const text = csv(
    learners.flatMap(({ name: learner, tally }) =>
      tally.map(({ station, marked, atFirst, later, open, untried }) => ({
        learner,
        station: rowOf(station).name,
        marked,
        'landed at first': atFirst,
        'landed later': later,
        'still open': open,
        'not tried again': untried
      }))
    )
  )
  return { text, className: name }
}
