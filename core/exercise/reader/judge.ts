/** Whether a box is what it was to be: right, near, or off, and one word to try. */
import { convertLinearToLab } from '../../colour/lab'
import { chromaOf, convertLinearToOklab, NEUTRAL_CHROMA } from '../../colour/oklab'
import { linearOfHex, type Rgb } from '../../colour/srgb'
import { differenceOf } from '../../colour/difference'
import { turnBetween } from '../../numeric/angle'
import { positionOn, stepAt } from '../../wheel/wheel'
import type { WheelName } from '../../wheel/steps'
import { give, type Settings } from '../settings'
import type { Box } from '../worksheet/worksheet'

export type BoxVerdict = 'right' | 'near' | 'off'
export interface Judged {
  readonly verdict: BoxVerdict
  /** One word to try; empty when it is right. */
  readonly word: string
}

/**
 * What a box may differ by and be right: half a step of the wheel; steps of L*; OKLCH chroma. Past NEAR times that it
 * is off. Our choice: what a teacher lets pass across a table.
 */
const BOUNDS = { hue: 15, value: 5, chroma: 0.032 } as const
const NEAR = 1.8
/** Of a ladder's own step, and of its ends, in L*. */
const EVEN = 0.28,
  ENDS = 8
/**
 * A seam: the widest difference between neighbouring columns over their mean, and the least mean that is a run at all.
 */
const SEAM = 2.6

const byRatio = (ratio: number): BoxVerdict => (ratio <= 1 ? 'right' : ratio <= NEAR ? 'near' : 'off')
const judged = (ratio: number, word: string): Judged => ({
  verdict: byRatio(ratio),
  word: ratio <= 1 ? '' : word
})

/** The unmixed colour that lies that way round the wheel: what to add. */
function toward(wheel: WheelName, from: number, turn: number): string {
  const next = turn > 0 ? 120 * Math.floor(from / 120 + 1) : 120 * Math.ceil(from / 120 - 1)
  return `more ${stepAt(wheel, (next + 360) % 360)}`
}

type Scale = Pick<Settings, 'wheel' | 'tolerance'>

function judgeStep(measured: Rgb, position: number, { wheel, tolerance }: Scale): Judged {
  const found = positionOn(wheel, measured)
  if (found === null) return { verdict: 'off', word: 'stronger' }
  const turn = turnBetween(found, position)
  return judged(Math.abs(turn) / give(BOUNDS.hue, 'most', tolerance), toward(wheel, found, turn))
}

function judgeColour(measured: Rgb, wanted: Rgb, { wheel, tolerance }: Scale): Judged {
  const by = (axis: keyof typeof BOUNDS, difference: number): number =>
    Math.abs(difference) / give(BOUNDS[axis], 'most', tolerance)
  const value = convertLinearToLab(measured)[0] - convertLinearToLab(wanted)[0]
  const has = chromaOf(convertLinearToOklab(measured)),
    asks = chromaOf(convertLinearToOklab(wanted))
  const ways = [
    { ratio: by('value', value), word: value > 0 ? 'darker' : 'lighter' },
    { ratio: by('chroma', has - asks), word: has > asks ? 'greyer' : 'stronger' }
  ]
  const from = positionOn(wheel, measured),
    to = positionOn(wheel, wanted)
  // A hue is held against another where both are strong enough to have one.
  if (from !== null && to !== null && Math.min(has, asks) >= 1.3 * NEUTRAL_CHROMA) {
    const turn = turnBetween(from, to)
    ways.push({ ratio: by('hue', turn), word: toward(wheel, from, turn) })
  }
  const worst = ways.reduce((p, q) => (q.ratio > p.ratio ? q : p))
  return judged(worst.ratio, worst.word)
}

/** @param values L* of the row as painted, in its order; NaN where a box is empty. */
function judgeValue(
  values: readonly number[],
  { at, wanted }: { readonly at: number; readonly wanted: number },
  { tolerance }: Scale
): Judged {
  const last = values.length - 1,
    value = values[at]
  // The ends are the learner's own: only far enough out.
  if (at === 0) return judged(Math.max(0, value - wanted) / give(ENDS, 'most', tolerance), 'darker')
  if (at === last) return judged(Math.max(0, wanted - value) / give(ENDS, 'most', tolerance), 'lighter')
  const step = (values[last] - values[0]) / last,
    even = values[0] + step * at
  if (!(Math.abs(step) > 1)) return { verdict: 'off', word: 'apart' }
  const off = value - even
  return judged(
    Math.abs(off) / give(Math.max(1.5, EVEN * Math.abs(step)), 'most', tolerance),
    off > 0 ? 'darker' : 'lighter'
  )
}

/** @param columns along the run, linear light. */
function judgeRun(
  columns: readonly Rgb[],
  { from, to }: { readonly from: Rgb; readonly to: Rgb },
  scale: Scale
): Judged {
  const labs = columns.map(convertLinearToLab)
  const jumps = labs.slice(1).map((lab, i) => differenceOf(labs[i], lab)),
    mean = jumps.reduce((p, q) => p + q, 0) / jumps.length
  const way = differenceOf(labs[0], labs.at(-1)!)
  const ends = [
    { measured: columns[0], wanted: from },
    { measured: columns.at(-1)!, wanted: to }
  ].map(({ measured, wanted }) => {
    const [found, asked] = [measured, wanted].map(c => positionOn(scale.wheel, c))
    return found === null || asked === null
      ? 3
      : Math.abs(turnBetween(found, asked)) / give(22, 'most', scale.tolerance)
  })
  // Going there and back again is longer than the way.
  const wander = (mean * jumps.length) / Math.max(0.1, way) / 1.6
  const seam = Math.max(...jumps) / Math.max(0.4, mean) / SEAM
  const ways = [
    { ratio: seam, word: 'softer' },
    { ratio: wander, word: 'steadier' },
    { ratio: Math.max(...ends), word: 'its ends' }
  ]
  const worst = ways.reduce((p, q) => (q.ratio > p.ratio ? q : p))
  return judged(worst.ratio, worst.word)
}

export interface Painted {
  readonly box: Box
  /** Null where the box is bare paper. */
  readonly colour: Rgb | null
  /** Along a run. */
  readonly columns: readonly Rgb[]
}

/** Judges all boxes of a sheet: those of a ladder by one another. */
export function judgeBoxes(all: readonly Painted[], scale: Scale): Judged[] {
  return all.map(({ box, colour, columns }) => {
    if (colour === null) return { verdict: 'off', word: 'empty' }
    const { wanted } = box
    switch (wanted.kind) {
      case 'step':
        return judgeStep(colour, wanted.position, scale)
      case 'colour':
        return judgeColour(colour, linearOfHex(wanted.hex), scale)
      case 'run':
        return judgeRun(columns, { from: linearOfHex(wanted.from), to: linearOfHex(wanted.to) }, scale)
      case 'value': {
        const row = all.filter(p => p.box.row === box.row)
        const values = row.map(p => (p.colour ? convertLinearToLab(p.colour)[0] : NaN))
        return judgeValue(values, { at: row.findIndex(p => p.box === box), wanted: wanted.value }, scale)
      }
    }
  })
}
