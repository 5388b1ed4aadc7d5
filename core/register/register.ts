/**
 * Laying a new version of a picture on the old one: a repainted canvas photographed anew, a file cropped, scaled or
 * turned a little. Small looks find where it might lie, ever finer ones move it there; what speaks for it says whether
 * it is believed.
 */
import { through, type Homography, type Point } from '../numeric/homography'
import type { Plane } from '../picture/plane'
import { agreementOf, patchesOf } from './agreement'
import { coarseGuesses, SMALL } from './coarse'
import { apart, cornersOf, evidenceOf, looseness, sane, type Evidence } from './evidence'
import { halfOf, lookAt, type Look, type Sight } from './look'
import { refine, type Freedom, type Refined } from './refine'

/** `another`: nothing speaks for these being the same picture. */
export type Match = 'sure' | 'unsure' | 'another'

export interface Registration {
  readonly match: Match
  /** Of the old picture in the new one, clockwise from its top left: fractions of its width and height. */
  readonly corners: readonly Point[] | null
  /** From the middle of the old picture to that of the new one, in half long edges. */
  readonly map: Homography | null
  readonly evidence: Evidence
}

interface Level extends Sight {
  /** How many places are followed from here. */
  readonly keep: number
  readonly freedom: Freedom
  readonly rounds: number
}
/** Windows ever narrower against the picture: for anything that has edges. */
const SHARP: readonly Level[] = [
  { edge: SMALL, sigma: 5, faint: 2.5, keep: 8, freedom: 4, rounds: 9 },
  { edge: 160, sigma: 5, faint: 2.5, keep: 4, freedom: 4, rounds: 9 },
  { edge: 320, sigma: 5, faint: 2.5, keep: 2, freedom: 8, rounds: 12 },
  { edge: 512, sigma: 5, faint: 2.5, keep: 1, freedom: 8, rounds: 9 }
]
/** Windows as wide as masses, and fainter things seen: for fog, where nothing has an edge. */
const SOFT: readonly Level[] = [
  { edge: SMALL, sigma: 5, faint: 0.7, keep: 6, freedom: 4, rounds: 12 },
  { edge: 160, sigma: 7, faint: 0.8, keep: 3, freedom: 4, rounds: 12 },
  { edge: 320, sigma: 12, faint: 1, keep: 2, freedom: 8, rounds: 12 }
]
/** Guesses that are looked at more closely, and those of them that are followed. */
const LOOKED_AT = 60,
  FOLLOWED = 14
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

const scoreAt = (old: Look, next: Look, map: Homography): number => agreementOf(patchesOf(old, next, map))

/** What has to speak for it to be believed; from pairs whose truth is known (`npm run register`). */
const SURE = { agreement: 0.5, patches: 10, reach: 0.3, margin: 0.12, loose: 0.0028 } as const
/** With less than this nothing does; what agrees but half has to stand alone and firmly. */
const SOMETHING = { agreement: 0.45, patches: 4, loose: 0.02 } as const
const HALF = { agreement: 0.65, margin: 0.16, loose: 0.012 } as const

function matchOf({ agreement, patches, reach, margin, loose }: Evidence, plausible: boolean): Match {
  const half = agreement < HALF.agreement && (margin < HALF.margin || loose > HALF.loose)
  if (!plausible || half) return 'another'
  if (agreement < SOMETHING.agreement || patches < SOMETHING.patches || loose > SOMETHING.loose) return 'another'
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

function registerBy(levels: readonly Level[], old: Plane, next: Plane): Registration {
  const looks = levels.map(level => [lookAt(old, level), lookAt(next, level)] as const)
  const [small, smallNext] = looks[0]
  const guesses = distinct(small, coarseGuesses(small, smallNext), LOOKED_AT)
  let places: { map: Homography; score: number; refined?: Refined }[] = distinct(
    small,
    guesses.map(({ map }) => ({ map, score: scoreAt(small, smallNext, map) })),
    FOLLOWED
  )
  let margin = 1
  levels.forEach(({ keep, freedom, rounds }, level) => {
    const [here, there] = looks[level]
    const moved = places.map(({ map }) => {
      // Freer motions begin where a similarity has come to rest.
      const freer = freedom === 8 && levels[level - 1]?.freedom === 4,
        from = freer ? refine([here, there], map, { freedom: 4, rounds: 4 }).map : map
      const refined = refine([here, there], from, { freedom, rounds })
      return { map: refined.map, refined, score: scoreAt(here, there, refined.map) }
    })
    if (moved.length > 1) {
      const [best, rival] = distinct(here, moved, 2)
      margin = rival ? best.score - rival.score : 1
    }
    places = distinct(here, moved, keep)
  })
  const [here, there] = looks.at(-1)!,
    found = places[0]
  if (!found?.refined) return NOTHING
  const evidence = evidenceOf(patchesOf(here, there, found.map), { margin, loose: looseness(here, found.refined) })
  const match = matchOf(evidence, sane(here, found.map))
  if (match === 'another') return { ...NOTHING, evidence }
  const half = halfOf(there)
  const corners = cornersOf(here)
    .map(p => through(found.map, p))
    .map(({ x, y }) => ({ x: (x * half) / there.width + 0.5, y: (y * half) / there.height + 0.5 }))
  return { match, corners, map: found.map, evidence }
}

const RANK: Readonly<Record<Match, number>> = { another: 0, unsure: 1, sure: 2 }

/** @param old, next L* of both pictures, 0–100. @param progress told 0–1. */
export function register(old: Plane, next: Plane, progress?: (share: number) => void): Registration {
  const sharp = registerBy(SHARP, old, next)
  progress?.(0.6)
  if (sharp.match === 'sure') return sharp
  const soft = registerBy(SOFT, old, next)
  return RANK[soft.match] > RANK[sharp.match] ? soft : sharp
}
