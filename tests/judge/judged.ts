/** One picture judged as the bench of the application does, and the lines of the table it goes into. */
import { asShown } from '../../core/critique/first'
import type { PieceKnown } from '../../core/critique/piece/known'
import { measurePiece } from '../../core/critique/piece/measure'
import { DEFAULT_STANDARDS } from '../../core/critique/standards'
import type { PieceReading } from '../../core/critique/stations/piece'
import { readingsOfPiece } from '../../core/critique/stations/readings'
import { isMeasured, type Peak, type Report } from '../../core/measure/report'
import { planesOf } from '../../core/picture/planes'
import type { Raster } from '../../core/picture/raster'

/** Pictures to tune by, whose misses may be shown by name; and those kept back, of which only figures are. */
export type Half = 'tune' | 'kept'

export interface Judged {
  readonly report: Report
  readonly readings: readonly PieceReading[]
}

export function judge(raster: Raster, known: PieceKnown, format = 'png'): Judged {
  const pixels = { raster, planes: planesOf(raster) },
    source = { format, width: raster.width, height: raster.height }
  const measures = measurePiece({ pixels, source, known })
  return { report: measures.report, readings: asShown(readingsOfPiece(measures, known, DEFAULT_STANDARDS)) }
}

/** The first look of a report; null where no place is looked at first. */
export const firstLook = ({ focus }: Report): Peak | null =>
  isMeasured(focus) && isMeasured(focus.peaks) ? (focus.peaks[0] ?? null) : null

const RIM = 0.03

/** Whether the first look is at the rim of the picture. */
export function onRim(report: Report): boolean {
  const look = firstLook(report)
  return look !== null && Math.min(look.x, look.y, 1 - look.x, 1 - look.y) < RIM
}

/** How often something held. */
export class Share {
  right = 0
  of = 0

  count(held: boolean): boolean {
    this.of++
    if (held) this.right++
    return held
  }

  toString(): string {
    return this.of === 0 ? '–' : `${Math.round((100 * this.right) / this.of)} % (${this.right} of ${this.of})`
  }
}

/** How often each reading was among some. */
export class Tally {
  private readonly by = new Map<string, number>()

  add(id: string): void {
    this.by.set(id, (this.by.get(id) ?? 0) + 1)
  }

  toString(): string {
    return [...this.by].map(([id, n]) => `${id} ${n}`).join(', ') || 'none'
  }
}

export const title = (text: string, columns = ['', 'measured', 'wanted']): void =>
  console.log(`\n### ${text}\n\n| ${columns.join(' | ')} |\n|${columns.map(() => '---').join('|')}|`)

export const row = (...cells: readonly unknown[]): void => console.log(`| ${cells.join(' | ')} |`)
