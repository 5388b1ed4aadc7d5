/** What is shown for a check shows something: on every exercise's own example that fails it. */
import { expect, it } from 'vitest'
import { renderLens } from '../lens/lens'
import { hueHistogram } from '../measure/harmony/hues'
import { planesOf } from '../picture/planes'
import { EXAMPLES } from '../testing/exercises/examples'
import { evidenceOf, hasEvidence } from './evidence'
import { PLAIN_SETTINGS } from './settings'
import { EXERCISE_KEYS, exerciseOf } from './shelf'

it.each(EXERCISE_KEYS)('%s: each check is seen on the picture, or said not to be', exercise => {
  for (const { id } of exerciseOf(exercise).checks) {
    const raster = EXAMPLES[exercise].fails[id] ?? EXAMPLES[exercise].passes,
      planes = planesOf(raster)
    const lens = evidenceOf(id, {
      exercise,
      own: null,
      settings: PLAIN_SETTINGS,
      plan: null,
      hues: hueHistogram(raster, planes, 'painter')
    })
    expect(lens !== null, id).toBe(hasEvidence(id))
    if (!lens) continue
    const out = new Uint8ClampedArray(raster.data.length)
    renderLens(lens, { raster, planes, out })
    expect(new Set(out.filter((_, i) => i % 4 < 3)).size, id).toBeGreaterThan(1)
  }
})

it('what leaves the pair stands out, and the rest goes quiet', () => {
  const raster = EXAMPLES.opposites.fails.coverage!,
    planes = planesOf(raster),
    hues = hueHistogram(raster, planes, 'painter')
  const lens = evidenceOf('coverage', { exercise: 'opposites', own: null, settings: PLAIN_SETTINGS, plan: null, hues })!
  const out = new Uint8ClampedArray(raster.data.length)
  renderLens(lens, { raster, planes, out })
  const chroma = (x: number): number => {
    const p = 4 * (10 * raster.width + x)
    return Math.max(out[p], out[p + 1], out[p + 2]) - Math.min(out[p], out[p + 1], out[p + 2])
  }
  // Fifty of blue, eight of orange, then red-violet and yellow-green, which belong to no pair with them.
  expect(chroma(62)).toBeGreaterThan(60)
  expect(chroma(20)).toBeLessThan(chroma(62))
})
