import { z } from 'zod'
import { PURPOSES } from '../../core/export/annotations'
import { selectedBy } from '../../core/export/selectors'
import { correctionInputSchema, type CorrectionInput } from '../critique'
import { areaSchema } from '../area'
import { markSchema } from '../mark'
import { stationSchema } from '../station'
import { targetSchema } from '../target'
import { trialSchema } from '../trial'

const object = z.record(z.string(), z.unknown())
const manyOf = <T extends z.ZodType>(one: T) => z.union([z.array(one), one.transform(value => [value])])

/** A file of two hundred annotations, each with a stroke and a painted trial, is smaller. */
export const ANNOTATION_BYTES = 4 * 1024 * 1024

/** What of the Web Annotation model is read; everything else of an annotation is kept as it is. */
const annotationSchema = z.looseObject({
  id: z.string().optional(),
  type: z.union(
    [z.literal('Annotation'), z.array(z.string()).refine(list => list.includes('Annotation'))],
    'One of its entries is not an annotation.'
  ),
  body: manyOf(z.union([object, z.string()])).default([]),
  target: manyOf(z.union([object, z.string()]))
})
export const annotationFileSchema = z.union(
  [
    z
      .looseObject({ items: z.array(annotationSchema).max(200, 'At most 200 annotations are read at once.') })
      .transform(page => page.items),
    z.array(annotationSchema).max(200, 'At most 200 annotations are read at once.'),
    annotationSchema.transform(one => [one])
  ],
  'This is not a page, a list or a single one of W3C Web Annotations.'
)
export type ReadAnnotation = z.infer<typeof annotationSchema>

/** Our own part of it, when the annotation was written here. */
const ownSchema = z
  .object({
    station: stationSchema,
    readingId: z.string().nullable(),
    mark: markSchema.nullable(),
    target: targetSchema.nullable(),
    trial: trialSchema.nullable()
  })
  .partial()

function ownPart(annotation: ReadAnnotation): z.infer<typeof ownSchema> {
  try {
    return ownSchema.parse(JSON.parse(String(annotation['critica:correction'])))
  } catch {
    return {}
  }
}

/**
 * An annotation as a correction. @param size of the picture, in its own pixels. @throws z.ZodError when it says
 * nothing.
 */
export function correctionFrom(
  annotation: ReadAnnotation,
  size: { readonly width: number; readonly height: number }
): CorrectionInput {
  const own = ownPart(annotation),
    bodies = annotation.body.map(body => (typeof body === 'string' ? { value: body } : body))
  const said = (purpose: string): string =>
    bodies
      .filter(b => b.purpose === purpose)
      .map(b => (typeof b.value === 'string' ? b.value : ''))
      .join('\n')
      .trim()
      .slice(0, 2000)
  // A body without one of our purposes is what the other writer had to say.
  const plain = bodies
    .filter(
      b =>
        typeof b.value === 'string'
        && !(Object.values(PURPOSES) as unknown[]).includes(b.purpose)
        && b.purpose !== 'tagging'
    )
    .map(b => b.value)
    .join('\n')
    .trim()
    .slice(0, 2000)
  const selected =
    annotation.target.map(t => (typeof t === 'object' ? selectedBy(t.selector, size) : null)).find(s => s !== null)
    ?? null
  const area = selected && areaSchema.safeParse(selected.area)
  return correctionInputSchema.parse({
    station: own.station ?? 'first-look',
    area: area?.success ? area.data : null,
    mark: area?.success ? (own.mark ?? selected!.mark) : null,
    readingId: own.readingId ?? null,
    what: said(PURPOSES.what) || plain,
    reason: said(PURPOSES.reason),
    todo: said(PURPOSES.todo),
    target: own.target ?? null,
    trial: own.trial ?? null
  })
}

/** What came of reading annotations in. */
export const readInSchema = z.object({ added: z.int(), renewed: z.int() })
