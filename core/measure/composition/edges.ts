/** Sharpness, detail, dependence on line, cut-out figures. */
import { round3 } from '../../numeric/round'
import { ringOf, spansOf, type Area, type Spans } from '../../picture/area'
import type { Planes } from '../../picture/planes'
import { diagonalOf } from '../../picture/raster'
import { notMeasurable, type EdgeProfile, type EdgesSection, type Measured } from '../report'
import { edgeMaps, profileOver, type EdgeMaps, type Profile } from './edge-maps'
import { linesOf } from './lines'

/** House default: a figure this many times sharper or busier than its surroundings looks pasted on. */
export const CUTOUT_RATIO = 2.5
/** Pixels beside what is not measured that are left out with it. */
const RIM = 3
/** The neighbourhood of a focal area, as a share of the diagonal. */
const NEAR_SHARE = 0.1

const FLAT = 'the picture has no contrast'
const NO_FOCUS = 'no focal area is given'

export function measureEdges(
  planes: Planes,
  focus: Area | null,
  maps: EdgeMaps = edgeMaps(planes)
): Measured<EdgesSection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const inside = focus && spansOf(focus, planes)
  const near = inside && ringOf(inside, NEAR_SHARE * diagonalOf(planes))
  const measured = planes.count === planes.mask.length ? planes.mask : withinRim(planes)
  const within = (part: Spans): Uint8Array => only(part, measured),
    rest = measured.slice()
  for (const part of [inside, near]) if (part) clear(part, rest)
  const parts = {
    focus: inside && profileOver(maps, within(inside), planes),
    near: near && profileOver(maps, within(near), planes),
    rest: profileOver(maps, rest, planes)
  }
  const profile = (of: keyof Profile): EdgeProfile => {
    const part = (name: keyof typeof parts): Measured<number> => {
      if (!parts[name]) return notMeasurable(name === 'rest' ? 'nothing lies outside the focal area' : NO_FOCUS)
      const figure = parts[name][of]
      return figure === null ? notMeasurable('no edge there is strong enough to be judged') : round3(figure)
    }
    return { focus: part('focus'), near: part('near'), rest: part('rest') }
  }
  const lines = linesOf(planes)
  return {
    lineDependence: lines === null ? notMeasurable(FLAT) : round3(lines.dark),
    thinLights: lines === null ? notMeasurable(FLAT) : round3(lines.light),
    sharpness: profile('sharpness'),
    detail: profile('detail')
  }
}

/** What is measured without the pixels beside what is not: where a picture is cut off, that is no edge of its. */
function withinRim({ mask, width, height }: Planes): Uint8Array {
  const inner = mask.slice()
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (mask[i] === 0) continue
      const left = x >= RIM ? mask[i - RIM] : 1,
        right = x < width - RIM ? mask[i + RIM] : 1,
        up = y >= RIM ? mask[i - RIM * width] : 1,
        down = y < height - RIM ? mask[i + RIM * width] : 1
      inner[i] = left & right & up & down
    }
  }
  return inner
}

/** From here to there, run by run. */
function eachRun({ width, top, rows }: Spans, visit: (from: number, to: number) => void): void {
  rows.forEach((row, r) => {
    for (let s = 0; s < row.length; s += 2) visit((top + r) * width + row[s], (top + r) * width + row[s + 1])
  })
}

function clear(spans: Spans, mask: Uint8Array): void {
  eachRun(spans, (from, to) => mask.fill(0, from, to))
}

/** A mask's part within spans. */
function only(spans: Spans, mask: Uint8Array): Uint8Array {
  const part = new Uint8Array(mask.length)
  eachRun(spans, (from, to) => part.set(mask.subarray(from, to), from))
  return part
}

export interface CutOut {
  readonly sharpness: number
  readonly detail: number
  readonly pasted: boolean
}

/**
 * A marked figure against its surroundings: how many times sharper and busier it is. Null where nothing lies around it.
 */
export function cutOutOf(area: Area, planes: Planes, maps: EdgeMaps): CutOut | null {
  const spans = spansOf(area, planes)
  const [figure, around] = [spans, ringOf(spans, NEAR_SHARE * diagonalOf(planes))].map(part =>
    profileOver(maps, only(part, planes.mask), planes)
  )
  if (!figure || !around) return null
  const ratio = (p: number, q: number): number => p / Math.max(q, 0.01)
  // Beside a ground without edges only how busy the figure is can be compared.
  const sharpness =
      figure.sharpness === null || around.sharpness === null ? 0 : ratio(figure.sharpness, around.sharpness),
    detail = ratio(figure.detail, around.detail)
  return { sharpness, detail, pasted: sharpness > CUTOUT_RATIO || detail > CUTOUT_RATIO }
}
