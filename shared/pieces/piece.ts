/** What is measured of a piece beside its report, as it is stored. */
import { z } from 'zod'
import type { PieceExtras } from '../../core/critique/piece/measure'
import { contractOf } from '../contract'
import { degrees, measured, separationSchema, share, temperature, valueSchema } from '../report'
import { sectorSchemeSchema } from '../scheme'

const fraction = z.number().min(0).max(1)
const ratio = z.number().min(0)

export const extrasSchema = contractOf<PieceExtras>()(
  z.object({
    declared: z.object({ scheme: sectorSchemeSchema, coverage: share, rotation: degrees }).nullable(),
    greys: z.array(
      z.object({
        hex: z.string(),
        difference: z.number(),
        against: z.enum(['luma', 'hsl', 'hsv']),
        x: fraction,
        y: fraction,
        share
      })
    ),
    thumbnail: z.object({ kept: fraction.nullable(), focusHolds: z.boolean().nullable() }),
    depth: z.object({
      steps: z.array(
        z.object({
          name: z.enum(['near', 'middle', 'far']),
          value: z.number(),
          range: z.number(),
          temperature,
          chroma: ratio
        })
      ),
      inOrder: z.boolean().nullable(),
      farWarmer: z.boolean().nullable(),
      farStronger: z.boolean().nullable()
    }),
    areas: z.array(
      z.object({
        id: z.int(),
        separation: measured(separationSchema),
        temperature: z
          .object({ own: temperature, scene: temperature, ring: temperature, neutral: z.boolean() })
          .nullable(),
        cutOut: z.object({ sharpness: ratio, detail: ratio, pasted: z.boolean() }).nullable(),
        silhouette: z.object({ solidity: ratio, compactness: ratio }).nullable()
      })
    ),
    route: z.object({ taken: z.array(z.int()), skipped: z.array(z.int()), inOrder: z.boolean() }).nullable(),
    ambient: z.object({ ratioHue: z.number(), surroundHue: z.number(), apart: ratio, carried: z.boolean() }).nullable(),
    reference: measured(valueSchema).nullable()
  })
)
