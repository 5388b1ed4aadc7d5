/** Readings of the first look: where the critic's own eye went, against what is measured and what was meant. */
import { areaHolds, type Area } from '../../../picture/area'
import type { Peak } from '../../../measure/report'
import type { Reading } from '../../reading'
import { placeWords } from '../places'

const WHY =
  'The first look cannot be repeated: once the picture is known, the eye goes where it knows something is.'
  + ' What it met first is what a stranger meets.'

/** Nearer than this share of the picture, two places are one; so are two that are called the same. */
const SAME_PLACE = 0.15

/** @param eye where the critic clicked, fractions. @param intended the learner's focus, when one is known. */
export function firstLookReading(
  eye: { x: number; y: number },
  peaks: readonly Peak[],
  intended: Area | null
): Reading {
  const same = (p: Peak): boolean =>
    Math.hypot(p.x - eye.x, p.y - eye.y) < SAME_PLACE || placeWords(p) === placeWords(eye)
  const at = peaks.findIndex(same)
  const meant = intended === null ? null : areaHolds(intended, eye.x, eye.y)
  const measured =
    peaks.length === 0
      ? 'Nothing in the picture stands out by measure.'
      : at === 0
        ? 'The measured first stop is the same.'
        : at > 0
          ? `By measure ${placeWords(peaks[0]!)} comes before it.`
          : `By measure the eye goes to ${placeWords(peaks[0]!)}.`
  const intent = meant === null ? '' : meant ? ' That is where it should go.' : ' It should have gone to the focus.'
  return {
    id: 'first-look.eye',
    station: 'first-look',
    // Where the measure differs from the critic's eye, the eye is right: that alone is no fault.
    verdict: meant === false ? 'fix' : 'works',
    why: WHY,
    trains: [],
    sentence: `Your eye went first to ${placeWords(eye)}. ${measured}${intent}`,
    points: [{ ...eye, label: 'A' }, ...peaks.slice(0, 1).map(p => ({ x: p.x, y: p.y, label: '1' }))],
    ...(meant === false
      ? {
          correction: {
            what: `The eye goes to ${placeWords(eye)} before it goes to what the piece is about.`,
            todo: 'Quiet that place: less contrast, a softer edge or a greyer colour there.',
            target: { measure: 'focus-rank', atMost: 1 }
          }
        }
      : {})
  }
}
