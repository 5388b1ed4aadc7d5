/**
 * Usual cautions for what an exercise is made with. They defer to the product's label and to local rules. Common
 * practice, no source.
 */
import type { Medium } from './settings'

const LABELS = 'The product’s label and safety data sheet, and your room’s rules, come first.'
const CHILDREN = 'Children use only materials labelled for them.'
const PAINT =
  'Some pigments are toxic:'
  + ' wash your hands, keep brushes out of your mouth, do not sand or scrape paint dry; wipe up wet.'
const SOLVENTS =
  'If you clean with a solvent: open a window, cap the jar, keep flames away, and put the rags into a closed metal bin.'
const DUST = 'Do not blow dust away: tap it off and wipe wet. Spray fixative outdoors or under extraction only.'
const MARKERS = 'Strong-smelling markers belong to an open window or under extraction.'
const BLADE = 'Cut away from your fingers, on a mat, with a fresh blade; put the cover back.'

/** @param cuts whether something is cut. @returns sentences, in the order they are needed. */
export function careFor(medium: Medium, cuts = false): string[] {
  const of: Readonly<Record<Medium, readonly string[]>> = {
    any: [PAINT, SOLVENTS, DUST],
    paint: [PAINT, SOLVENTS],
    dry: [DUST],
    markers: [MARKERS],
    digital: []
  }
  if (medium === 'digital' && !cuts) return []
  return [...of[medium], ...(cuts ? [BLADE] : []), LABELS, CHILDREN]
}
