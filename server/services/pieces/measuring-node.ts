/** Whether this process serves, only measures, or (as the demo's loader) measures what it brought itself. */
import { randomUUID } from 'node:crypto'
import { dropMeasuringNode, markMeasuringNode } from '../../db/pieces/measuring-nodes'
import { db } from '../../db/pool'
import { settings } from '../../settings'
import { picturesAtOnce } from '../../work/workers'

/** This process among several on one database. */
const HOLDER = randomUUID()

/** Nobody wakes a machine that only measures: it looks itself, and says that it is there. */
const LOOK_MS = 500,
  SAYS_MS = 3000

let saying: NodeJS.Timeout | null = null
const sayThere = (): void => void markMeasuringNode(db(), HOLDER).catch(() => {})

export const measurer = {
  holder: HOLDER,
  /** A server leaves pieces to machines that only measure. */
  leaves: false,
  atOnce: 1,
  lookMs: undefined as number | undefined,

  /** Called once at a server's start, also while the database is away. */
  begin(): void {
    const only = settings().CRITICA_MEASURE_ONLY
    this.leaves = !only
    if (!only) return
    this.atOnce = picturesAtOnce()
    this.lookMs = LOOK_MS
    sayThere()
    saying = setInterval(sayThere, SAYS_MS)
  },

  /** Others need not wait for it. */
  async leave(): Promise<void> {
    if (!saying) return
    clearInterval(saying)
    await dropMeasuringNode(db(), HOLDER).catch(() => {})
  }
}
