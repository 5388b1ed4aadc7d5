/** Faces as things that the eye meets first, beside those that the critic marked. */
import { areaHolds } from '../../../picture/area'
import type { Planes } from '../../../picture/planes'
import { A_FACE } from '../../report'
import type { KnownThing } from '../attention/peaks'
import { facesOf } from './faces'

/** Of a crowd no more are named: the rest draw the eye as anything does. */
const MOST_FACES = 3

/** Faces found where the critic marked none, the largest first. */
export function unmarkedFaces(planes: Planes, marked: readonly KnownThing[]): KnownThing[] {
  const faces = facesOf(planes).filter(
    ({ x, y, w, h }) => !marked.some(({ area }) => areaHolds(area, x + w / 2, y + h / 2))
  )
  return faces.slice(0, MOST_FACES).map(({ score, ...box }) => ({
    name: faces.length + marked.length === 1 ? 'the face' : A_FACE,
    area: { kind: 'rectangle', ...box },
    found: score
  }))
}
