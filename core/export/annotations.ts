/**
 * Corrections as W3C Web Annotations (Web Annotation Data Model, W3C Recommendation 23 February 2017): one
 * annotation a correction, on the picture by an SVG or a fragment selector (Media Fragments URI 1.0, xywh).
 */
import type { Area } from '../picture/area'

export interface AnnotatedCorrection {
  /** The tag on the picture, e.g. V1. */
  readonly tag: string
  readonly area: Area | null
  readonly what: string
  readonly reason: string
  readonly todo: string
  /** The target in words, or null. */
  readonly target: string | null
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

const CONTEXT = 'http://www.w3.org/ns/anno.jsonld'
const percent = (v: number): number => Math.round(v * 1e4) / 100

function selectorOf(area: Area, { width, height }: AnnotationSource): object {
  if (area.kind === 'rectangle') {
    return { type: 'FragmentSelector', conformsTo: 'http://www.w3.org/TR/media-frags/', value: `xywh=percent:${[area.x, area.y, area.w, area.h].map(percent).join(',')}` }
  }
  const points = area.points.map(([x, y]) => `${Math.round(x * width)},${Math.round(y * height)}`).join(' ')
  return { type: 'SvgSelector', value: `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}"><polygon points="${points}"/></svg>` }
}

/** One annotation page with every correction, in order of importance. */
export function annotationPage(corrections: readonly AnnotatedCorrection[], source: AnnotationSource): object {
  const id = `${source.picture}#annotations`
  const text = (value: string, purpose: string): object => ({ type: 'TextualBody', value, format: 'text/plain', purpose })
  return {
    '@context': CONTEXT, id, type: 'AnnotationPage',
    partOf: { id: `${id}-all`, type: 'AnnotationCollection', label: source.title, total: corrections.length },
    startIndex: 0,
    items: corrections.map(c => ({
      id: `${id}-${c.tag}`, type: 'Annotation', motivation: 'assessing', created: source.created, creator: { type: 'Person', name: source.creator },
      body: [
        text(c.tag, 'identifying'), text(c.what, 'assessing'), ...(c.reason ? [text(c.reason, 'describing')] : []), ...(c.todo ? [text(c.todo, 'editing')] : []),
        ...(c.target ? [text(c.target, 'questioning')] : [])
      ],
      target: c.area ? { source: source.picture, type: 'Image', selector: selectorOf(c.area, source) } : { source: source.picture, type: 'Image' }
    }))
  }
}
