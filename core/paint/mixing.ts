/**
 * Paints mixed as paints mix: by what each absorbs and scatters at each wavelength (P. Kubelka & F. Munk, "Ein Beitrag
 * zur Optik der Farbanstriche", Zeitschrift für technische Physik 12, 1931; mixtures with two constants after D. R.
 * Duncan, "The colour of pigment mixtures", Proc. Phys. Soc. 52, 1940). A layer that covers.
 */
import type { Rgb } from '../colour/srgb'
import { convertReflectanceToLinear, type Reflectance } from './spectrum'
import { reflectanceOf } from './reflectance'

/** At each wavelength, a part of it: against white's scattering, which is 1. */
export interface Paint {
  readonly absorbs: readonly number[]
  readonly scatters: readonly number[]
}

/** How much of a paint, in parts of any unit. */
export interface Part {
  readonly paint: Paint
  readonly amount: number
}

/** A tint is one part in so much white. */
export const TINT_WHITE = 10
/** Against white's: no paint scatters none of the light, and few much more than white. */
const SCATTERS = { least: 0.02, most: 4 } as const

/** Absorption, over scattering, of which the tint tells as much as the rest of the spectrum does. */
const UNTOLD = 0.01

/** Absorption over scattering of a layer that reflects so much, 0–1: Kubelka's and Munk's own relation. */
export const absorptionOf = (reflected: number): number => (1 - reflected) ** 2 / (2 * reflected)

/** @returns what a layer reflects, 0–1. */
export const reflectedOf = (absorption: number): number =>
  1 + absorption - Math.sqrt(absorption * absorption + 2 * absorption)

/**
 * Share of the light that a paint's surface sends back before any of it comes in (Fresnel, a binder's index of about
 * 1.5: 0.04, from memory). A picture's black has it taken out; without it what looks black would swallow everything.
 */
const SURFACE = 0.04
const absorbed = (reflectance: Reflectance): number[] =>
  reflectance.map(v => absorptionOf((v + SURFACE) / (1 + SURFACE)))
/** @returns what is seen of a layer, its surface's light taken out, 0–1. */
export const seenOf = (absorption: number): number => Math.max(0, reflectedOf(absorption) * (1 + SURFACE) - SURFACE)

/** White is what others are told by. */
export const whitePaint = (linear: Rgb): Paint => {
  const absorbs = absorbed(reflectanceOf(linear))
  return { absorbs, scatters: absorbs.map(() => 1) }
}

/**
 * A paint by its colour alone, and by that of one part of it in ten of white, which tells how strong it is.
 * @param tint null where nobody made one: then it scatters as white does.
 */
export function paintOf(masstone: Rgb, tint: Rgb | null, white: Paint): Paint {
  const own = absorbed(reflectanceOf(masstone))
  if (!tint) return { absorbs: own, scatters: own.map(() => 1) }
  const tinted = absorbed(reflectanceOf(tint))
  // Of the mixture's absorption over its scattering, solved for the paint's own scattering. Where the paint hardly
  // absorbs, its tint is white's: what it scatters there is told by the rest of its spectrum.
  const told = own.map((of, i) => {
    const found = (TINT_WHITE * (tinted[i] * white.scatters[i] - white.absorbs[i])) / (of - tinted[i])
    const log = Number.isFinite(found) && of > tinted[i] && found > 0 ? Math.log(found) : null
    return { log, weight: log === null ? 0 : Math.max(0, of - white.absorbs[i]) }
  })
  const all = told.reduce((sum, t) => sum + t.weight, 0),
    mean = all ? told.reduce((sum, t) => sum + t.weight * (t.log ?? 0), 0) / all : 0
  const scatters = told.map(({ log, weight }) => {
    const found = Math.exp((weight * (log ?? 0) + UNTOLD * mean) / (weight + UNTOLD))
    return Math.min(SCATTERS.most, Math.max(SCATTERS.least, found))
  })
  return { absorbs: own.map((of, i) => of * scatters[i]), scatters }
}

/** @param parts one at least, not all of them nothing. @returns what their mixture reflects, 0–1. */
export function mixed(parts: readonly Part[]): Reflectance {
  return parts[0].paint.absorbs.map((_, i) => {
    let absorbs = 0,
      scatters = 0
    for (const { paint, amount } of parts) {
      absorbs += amount * paint.absorbs[i]
      scatters += amount * paint.scatters[i]
    }
    return seenOf(absorbs / scatters)
  })
}

/** @returns the mixture's colour under daylight, within 0–1. */
export const mixedColour = (parts: readonly Part[]): Rgb =>
  convertReflectanceToLinear(mixed(parts)).map(v => Math.min(1, Math.max(0, v))) as unknown as Rgb
