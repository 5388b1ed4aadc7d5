/** Where on the picture something is, and what it is called, as a person would say it. */
import { A_FACE, type Peak } from '../../measure/report'

/** In a teacher's words. */
export function placeWords({ x, y }: { x: number; y: number }): string {
  const row = y < 1 / 3 ? 'upper' : y > 2 / 3 ? 'lower' : '',
    column = x < 1 / 3 ? 'left' : x > 2 / 3 ? 'right' : ''
  if (!row && !column) return 'the middle'
  if (!row) return `the ${column} side`
  return column ? `the ${row} ${column}` : `the ${row} middle`
}

/** Wider than this share of the picture, something lies along a side rather than in a place. */
const ALONG = 0.55

/** "the pale yellow in the upper left", "the dark olive along the bottom", "the face", "a face on the left side". */
export function thingWords({ x, y, named, extent, known }: Peak): string {
  if (known) return known === A_FACE ? `${known} ${inPlace({ x, y })}` : known
  if (extent.w > ALONG && extent.h < ALONG) {
    return `the ${named} ${y < 1 / 3 ? 'along the top' : y > 2 / 3 ? 'along the bottom' : 'across the middle'}`
  }
  if (extent.h > ALONG && extent.w < ALONG) {
    return `the ${named} ${x < 1 / 3 ? 'down the left side' : x > 2 / 3 ? 'down the right side' : 'down the middle'}`
  }
  return `the ${named} ${inPlace({ x, y })}`
}

/** "in the upper left", "on the left side". */
export function inPlace(at: { x: number; y: number }): string {
  const place = placeWords(at)
  return `${place.endsWith('side') ? 'on' : 'in'} ${place}`
}
