/**
 * Corrections as W3C Web Annotations (Web Annotation Data Model, W3C Recommendation 23 February 2017): one
 * annotation a correction, on the picture by an SVG or a fragment selector (Media Fragments URI 1.0, xywh). What the
 * model has no words for stands under our own prefix and is passed over by other readers; what another writer added is
 * kept and written again.
 */
import type { Mark } from '../critique/mark'
import type { Reading } from '../critique/reading'
import type { Station } from '../critique/stations/station'
import type { Target } from '../critique/target'
import type { Area } from '../picture/area'
import type { Trial } from '../trial/trial'
import { selectorOf } from './selectors'

export interface AnnotatedCorrection {
  /** Of the correction, part of the annotation's identifier. */
  readonly id: number
  /** The tag on the picture, e.g. V1. */
  readonly tag: string
  readonly station: Station
  readonly area: Area | null
  readonly mark: Mark | null
  readonly readingId: string | null
  /** The reading it came from, as the piece's list has it now; null for one made by hand, or no longer said. */
  readonly reading: Pick<Reading, 'id' | 'verdict' | 'sentence'> | null
  readonly what: string
  readonly reason: string
  readonly todo: string
  readonly target: Target | null
  /** The target in words, or null. */
  readonly targetWords: string | null
  readonly trial: Trial | null
  /** The annotation it was read in from, whose other parts are kept; null for one of our own. */
  readonly foreign: Readonly<Record<string, unknown>> | null
}

export interface AnnotationSource {
  /** IRI of the picture. */
  readonly picture: string
  readonly title: string
  readonly width: number
  readonly height: number
  readonly creator: string
  /** ISO time. */
  readonly created: string
}

export const ANNOTATION_CONTEXT = 'http://www.w3.org/ns/anno.jsonld'
/** Our own terms: a name that resolves to nothing, as the urn says. */
export const OWN_TERMS = { critica: 'urn:critica:terms#' } as const

export const annotationId = (picture: string, id: number): string => `${picture}#correction-${id}`

/** Purposes by which the parts of a correction are told apart (the model's own list, §3.3.5). */
export const PURPOSES = {
  what: 'assessing',
  reason: 'describing',
  todo: 'editing',
  targetWords: 'questioning',
  tag: 'identifying'
} as const

type Parts = Readonly<Record<string, unknown>>
const listed = (value: unknown): readonly Parts[] =>
  (Array.isArray(value) ? value : value === undefined ? [] : [value]).filter(
    (v): v is Parts => typeof v === 'object' && v !== null
  )
const OURS: readonly string[] = Object.values(PURPOSES)

/** Bodies of the foreign annotation that say something else than a correction does. */
const otherBodies = (foreign: Parts | null): readonly Parts[] =>
  listed(foreign?.body).filter(
    body => !(body.type === 'TextualBody' && OURS.includes(String(body.purpose ?? 'assessing')))
  )

/** One annotation page with every correction, in order of importance. */
export function annotationPage(corrections: readonly AnnotatedCorrection[], source: AnnotationSource): object {
  const id = `${source.picture}#annotations`
  const text = (value: string, purpose: string): Parts => ({
    type: 'TextualBody',
    value,
    format: 'text/plain',
    purpose
  })
  return {
    '@context': [ANNOTATION_CONTEXT, OWN_TERMS],
    id,
    type: 'AnnotationPage',
    partOf: { id: `${id}-all`, type: 'AnnotationCollection', label: source.title, total: corrections.length },
    startIndex: 0,
    items: corrections.map(c => {
      const target = {
        source: source.picture,
        type: 'Image',
        ...(c.area ? { selector: selectorOf(c.area, c.mark, source) } : {})
      }
      return {
        created: source.created,
        creator: { type: 'Person', name: source.creator },
        ...c.foreign,
        id: annotationId(source.picture, c.id),
        type: 'Annotation',
        motivation: 'assessing',
        body: [
          ...(['tag', 'what', 'reason', 'todo', 'targetWords'] as const).flatMap(part =>
            c[part] ? [text(c[part], PURPOSES[part])] : []
          ),
          ...otherBodies(c.foreign)
        ],
        target: { ...listed(c.foreign?.target)[0], ...target },
        'critica:correction': JSON.stringify({
          station: c.station,
          readingId: c.readingId,
          mark: c.mark,
          target: c.target,
          trial: c.trial
        }),
        // What is no longer said is no longer there, also where an earlier annotation of it was read in.
        'critica:reading': c.reading
          ? JSON.stringify({ id: c.reading.id, verdict: c.reading.verdict, sentence: c.reading.sentence })
          : undefined
      }
    })
  }
}
