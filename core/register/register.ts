/**
 * Laying a new version of a picture on the old one: a repainted canvas photographed anew, a file cropped, scaled or
 * turned a little. Small looks find where it might lie, ever finer ones move it there; what speaks for it says whether
 * it is believed.
 */
import type { Homography, Point } from '../numeric/homography'
import type { Plane } from '../picture/plane'
import { agreementOf, patchesOf } from './agreement'
import { coarseGuesses, SMALL } from './coarse'
import { settle } from './common'
import { evidenceOf, looseness, type Evidence } from './evidence'
import { lookAt, type Look, type Sight } from './look'
import { apart, cornersIn, grownBy, mapOf, sane } from './place'
import { refine, type Refined } from './refine'
import type { Freedom } from './sums'

/** `another`: nothing speaks for these being the same picture. */
export type Match = 'sure' | 'unsure' | 'another'

export interface Registration {
  readonly match: Match
  /** Of the old picture in the new one, clockwise from its top left: fractions of its width and height. */
  readonly corners: readonly Point[] | null
  /** From the middle of the old picture to that of the new one, in half long edges. */
  readonly map: Homography | null
  /** Null where it was set by hand. */
  readonly evidence: Evidence | null
}

interface Level extends Sight {
  /** How many places are followed from here. */
  readonly keep: number
  readonly freedom: Freedom
  readonly rounds: number
  /** See `refine`. */
  readonly every: number
}
/** Levels one after the other; what is found is then moved by the last, too narrow to believe anything by. */
interface Looking {
  readonly levels: readonly Level[]
  readonly polish: Level
}
/** Windows ever narrower against the picture: for anything that has edges. */
const SHARP: Looking = {
  levels: [
    { edge: SMALL, sigma: 5, faint: 2.5, keep: 8, freedom: 4, rounds: 9, every: 1 },
    { edge: 160, sigma: 5, faint: 2.5, keep: 4, freedom: 4, rounds: 9, every: 1 },
    { edge: 320, sigma: 5, faint: 2.5, keep: 2, freedom: 8, rounds: 12, every: 2 },
    { edge: 512, sigma: 5, faint: 2.5, keep: 1, freedom: 8, rounds: 9, every: 2 }
  ],
  polish: { edge: 512, sigma: 3, faint: 2.5, keep: 1, freedom: 8, rounds: 9, every: 2 }
}
/** Windows as wide as masses, and fainter things seen: for fog, where nothing has an edge. */
const SOFT: Looking = {
  levels: [
    { edge: SMALL, sigma: 5, faint: 0.7, keep: 6, freedom: 4, rounds: 12, every: 1 },
    { edge: 160, sigma: 7, faint: 0.8, keep: 3, freedom: 4, rounds: 12, every: 1 },
    { edge: 320, sigma: 10, faint: 0.6, keep: 2, freedom: 8, rounds: 12, every: 2 }
  ],
  polish: { edge: 320, sigma: 6, faint: 0.6, keep: 1, freedom: 8, rounds: 12, every: 2 }
}
/** The same by windows half as wide: where soft masses lie close together, or a wall beside them. */
const NEAR: Looking = {
  levels: [
    { edge: SMALL, sigma: 3, faint: 0.5, keep: 6, freedom: 4, rounds: 12, every: 1 },
    { edge: 160, sigma: 5, faint: 0.6, keep: 3, freedom: 4, rounds: 12, every: 1 },
    { edge: 320, sigma: 8, faint: 0.6, keep: 2, freedom: 8, rounds: 12, every: 2 }
  ],
  polish: SOFT.polish
}
/** Guesses that are looked at more closely, and those of them that are followed. */
const LOOKED_AT = 60,
  FOLLOWED = 14
/** Agreement less than the best: never made up for by a finer look. */
const HOPELESS = 0.2
/** Places nearer than this are the same one, of the diagonal. */
const SAME = 0.03

/** The best of places, none near another. */
function distinct<T extends { readonly map: Homography; readonly score: number }>(
  old: Look,
  places: readonly T[],
  most: number
): T[] {
  const kept: T[] = []
  for (const place of [...places].sort((p, q) => q.score - p.score)) {
    if (kept.length === most) break
    if (kept.every(k => apart(old, k.map, place.map) > SAME)) kept.push(place)
  }
  return kept
}

/** With less of the old picture in sight, a place is put behind one that shows more: few things agree by chance. */
const WHOLE = 0.8

function scoreAt(old: Look, next: Look, map: Homography): number {
  const patches = patchesOf(old, next, map)
  return agreementOf(patches) * Math.sqrt(Math.min(1, patches.overlap / WHOLE))
}

/** What has to speak for it to be believed; from pairs whose truth is known (`npm run register`). */
const SURE = { agreement: 0.5, patches: 10, reach: 0.3, margin: 0.12, loose: 0.0028 } as const
/** With less than this nothing does. */
const SOMETHING = { agreement: 0.55, patches: 6, reach: 0.25, loose: 0.02 } as const
/** What agrees but half has to stand alone and firmly; what does not stand alone at all, to be held fast. */
const HALF = { agreement: 0.75, margin: 0.16, loose: 0.01 } as const
const DOUBLE = [
  { margin: 0.02, loose: 0.005 },
  { margin: 0.08, loose: 0.01 }
] as const

const isAnother = ({ agreement, patches, reach, margin, loose }: Evidence): boolean =>
  agreement < SOMETHING.agreement
  || patches < SOMETHING.patches
  || reach < SOMETHING.reach
  || loose > SOMETHING.loose
  || (agreement < HALF.agreement && (margin < HALF.margin || loose > HALF.loose))
  || DOUBLE.some(d => margin < d.margin && loose > d.loose)

function matchOf(evidence: Evidence, plausible: boolean): Match {
  if (!plausible || isAnother(evidence)) return 'another'
  const { agreement, patches, reach, margin, loose } = evidence
  const sure =
    agreement >= SURE.agreement
    && patches >= SURE.patches
    && reach >= SURE.reach
    && margin >= SURE.margin
    && loose <= SURE.loose
  return sure ? 'sure' : 'unsure'
}

const NOTHING: Registration = {
  match: 'another',
  corners: null,
  map: null,
  evidence: { agreement: 0, patches: 0, reach: 0, margin: 0, overlap: 0, loose: 1 }
}

/** Sizes between which a window is as wide in both pictures as makes no difference. */
const SIZE_STEP = 1.06

/** The new picture looked at in the old one's scale, where a map believes it: windows are then as wide in both. */
function looksOf(next: Plane, level: Level): (map: Homography) => Look {
  const known = new Map<number, Look>()
  return map => {
    const step = Math.round(Math.log(grownBy(map)) / Math.log(SIZE_STEP)),
      look = known.get(step) ?? lookAt(next, { ...level, edge: Math.round(level.edge / SIZE_STEP ** step) })
    known.set(step, look)
    return look
  }
}

/** Moves a place that is believed by windows too narrow to believe it by; kept where it stays. */
function polished(level: Level, { old, next, from }: { old: Plane; next: Plane; from: Homography }): Homography {
  const here = lookAt(old, level),
    { map } = refine([here, looksOf(next, level)(from)], from, level)
  return apart(here, map, from) < SAME && sane(here, map) ? map : from
}

function registerBy({ levels, polish }: Looking, old: Plane, next: Plane): Registration {
  const looks = levels.map(level => ({ here: lookAt(old, level), thereBy: looksOf(next, level) }))
  const small = looks[0].here,
    smallNext = lookAt(next, levels[0])
  const guesses = distinct(small, coarseGuesses(small, smallNext), LOOKED_AT)
  let places: { map: Homography; score: number; refined?: Refined }[] = distinct(
    small,
    guesses.map(({ map }) => ({ map, score: scoreAt(small, smallNext, map) })),
    FOLLOWED
  )
  let margin = 1
  levels.forEach(({ keep, freedom, rounds, every }, level) => {
    const { here, thereBy } = looks[level]
    const moved = places.map(({ map }) => {
      const there = thereBy(map)
      // Freer motions begin where a similarity has come to rest.
      const freer = freedom === 8 && levels[level - 1]?.freedom === 4,
        from = freer ? refine([here, there], map, { freedom: 4, rounds: 4, every }).map : map
      const refined = refine([here, there], from, { freedom, rounds, every })
      return { map: refined.map, refined, score: scoreAt(here, there, refined.map) }
    })
    if (moved.length > 1) {
      const [best, rival] = distinct(here, moved, 2)
      margin = rival ? best.score - rival.score : 1
    }
    // The rival is followed for the margin; what is plainly worse than the best is not.
    places = distinct(here, moved, keep).filter((p, i, all) => i < 2 || p.score > all[0].score - HOPELESS)
  })
  const { here, thereBy } = looks.at(-1)!,
    found = places[0]
  if (!found?.refined) return NOTHING
  const there = thereBy(found.map)
  const evidence = evidenceOf(patchesOf(here, there, found.map), { margin, loose: looseness(here, found.refined) })
  const match = matchOf(evidence, sane(here, found.map))
  if (match === 'another') return { ...NOTHING, evidence }
  // Looks are rounded to whole pixels, each by its own; from here on maps are between the pictures themselves.
  const moved = polished(polish, { old, next, from: found.map }),
    placed = mapOf(old, next, cornersIn(here, there, moved)) ?? moved,
    map = match === 'sure' ? placed : settled(old, next, placed)
  return { match, corners: cornersIn(old, next, map), map, evidence }
}

/** Settled on what both show, where it stays near. */
function settled(old: Plane, next: Plane, from: Homography): Homography {
  const map = settle(old, next, from)
  return apart(old, map, from) < 2 * SAME && sane(old, map) ? map : from
}

const RANK: Readonly<Record<Match, number>> = { another: 0, unsure: 1, sure: 2 }

/** @param old, next luma of both pictures, 0–100 (`picture/luma`). @param progress told 0–1. */
export function register(old: Plane, next: Plane, progress?: (share: number) => void): Registration {
  const sharp = registerBy(SHARP, old, next)
  progress?.(0.6)
  if (sharp.match === 'sure') return sharp
  let best = sharp
  for (const looking of [SOFT, NEAR]) {
    const found = registerBy(looking, old, next)
    if (RANK[found.match] > RANK[best.match]) best = found
    if (best.match !== 'another') break
  }
  return best
}
