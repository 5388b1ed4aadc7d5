/** The one schema of the report, shared by server, client and command line. */
import { z } from 'zod'
import { PHOTO_DOUBTS } from '../core/photo/steps'
import type { Report } from '../core/measure/report'
import { areaSchema } from './area'
import { contractOf } from './contract'
import { schemeNameSchema, stepSchema, wheelSchema } from './scheme'

export const share = z.number().min(0).max(1.001) // rounding may lift a sum by one last digit
export const value = z.number().min(0).max(100)
export const degrees = z.number().min(0).lt(360)
export const temperature = z.number().min(-100).max(100)

export const notMeasurableSchema = z.object({ kind: z.literal('not-measurable'), reason: z.string().min(1) })
export const measured = <T extends z.ZodType>(schema: T) => z.union([schema, notMeasurableSchema])

const ratio = z.number().min(0)
const fraction = z.number().min(0).max(1)
const spotSchema = z.object({ x: fraction, y: fraction, share })

export const valueSchema = z.object({
  darkest: value,
  lightest: value,
  range: value,
  median: value,
  key: z.enum(['low', 'middle', 'high']),
  thirds: z.object({ dark: share, middle: share, light: share }),
  groups: measured(z.array(z.object({ value, share })).min(2).max(6)),
  nearBlack: share,
  flatBlack: z.object({ share, holes: share, patches: z.array(spotSchema.extend({ hole: z.boolean() })) }),
  nearWhite: share,
  verdict: z.enum(['full', 'moderate', 'narrow'])
})

const harmonySchema = z.object({
  families: measured(
    z.array(
      z.object({
        step: stepSchema,
        named: z.string(),
        position: degrees,
        weight: share,
        area: share,
        chroma: share,
        darkest: value,
        lightest: value
      })
    )
  ),
  colours: z.int().min(0),
  neutrals: share,
  scheme: z.object({
    name: schemeNameSchema,
    rotation: measured(degrees),
    coverage: measured(share),
    sectors: measured(z.array(share))
  }),
  ranking: measured(
    z.array(
      z.object({
        name: schemeNameSchema,
        rotation: degrees,
        coverage: share,
        score: z.number(),
        sectors: z.array(share)
      })
    )
  ),
  offScheme: measured(share),
  proportion: measured(z.object({ shares: z.array(share), evenness: share, lead: ratio })),
  saturation: z.object({ median: share, p95: share, vivid: share, vividForHue: share, muted: share }),
  palette: z
    .array(
      z.object({
        hex: z.string().regex(/^#[0-9a-f]{6}$/),
        share,
        step: stepSchema.nullable(),
        kind: z.enum(['hue', 'tint', 'shade', 'tone', 'neutral']),
        value,
        temperature
      })
    )
    .min(1)
    .max(8)
})

const causesSchema = z.object({ value: share, chroma: share, hue: share, detail: share, orientation: share })
const extentSchema = z.object({ x: fraction, y: fraction, w: fraction, h: fraction })
const peakSchema = z.object({
  x: fraction,
  y: fraction,
  strength: share,
  causes: causesSchema,
  named: z.string(),
  extent: extentSchema,
  known: z.string().optional(),
  found: share.optional()
})

const focusSchema = z.object({
  peaks: measured(z.array(peakSchema).min(1).max(5)),
  whites: z.array(spotSchema),
  vivid: z.array(spotSchema.extend({ named: z.string() })),
  // With an area given, also:
  share: share.optional(),
  lift: ratio.optional(),
  rank: measured(z.int().min(1).max(5)).optional(),
  contrast: value.optional(),
  elsewhere: measured(value).optional(),
  ratio: measured(ratio).optional(),
  standing: measured(share).optional(),
  saturationRatio: measured(ratio).optional(),
  competitors: z.array(peakSchema).optional()
})

const temperatureSchema = z.object({
  mean: temperature,
  warm: share,
  cool: share,
  neither: share,
  lights: temperature,
  darks: temperature,
  lightMinusDark: z.number().min(-200).max(200),
  darkest: temperature
})

const profileSchema = z.object({ focus: measured(share), near: measured(share), rest: measured(share) })
const edgesSchema = z.object({
  lineDependence: measured(share),
  thinLights: measured(share),
  sharpness: profileSchema,
  detail: profileSchema
})

const compositionSchema = z.object({
  symmetry: measured(z.number().min(-1.001).max(1.001)),
  symmetryAcross: measured(z.number().min(-1.001).max(1.001)),
  horizon: measured(fraction),
  balance: measured(z.object({ x: fraction, y: fraction }))
})

const hex = z.string().regex(/^#[0-9a-f]{6}$/)
const lightSchema = z.object({
  consensus: z.tuple([ratio, ratio, ratio]),
  materials: z.array(
    measured(
      z.object({
        name: z.string(),
        lit: hex,
        shadow: hex,
        expected: hex,
        deviation: ratio,
        stops: z.number(),
        leaves: z.boolean(),
        deltaValue: z.number().min(-100).max(100),
        hueShift: measured(z.number().min(-180).max(180)),
        chromaKept: measured(ratio),
        onlyDarker: z.boolean(),
        overlap: value
      })
    )
  )
})

export const separationSchema = z.object({
  name: z.string(),
  value,
  ring: value,
  deltaValue: z.number().min(-100).max(100),
  deltaE: z.number().min(0),
  deltaTemperature: z.number().min(-200).max(200),
  merges: z.boolean()
})

export const reportSchema = contractOf<Report>()(
  z.object({
    version: z.int(),
    picture: z.object({
      format: z.string(),
      sourceWidth: z.int().positive(),
      sourceHeight: z.int().positive(),
      width: z.int().positive(),
      height: z.int().positive(),
      transparent: share,
      bitsPerPixel: z.number().positive().optional(),
      photograph: z.literal(true).optional(),
      shaken: z.array(z.enum(PHOTO_DOUBTS)).readonly().optional(),
      inside: areaSchema.optional()
    }),
    wheel: wheelSchema,
    value: measured(valueSchema),
    focus: measured(focusSchema),
    temperature: measured(temperatureSchema),
    harmony: measured(harmonySchema),
    edges: measured(edgesSchema),
    composition: measured(compositionSchema),
    light: measured(lightSchema).optional(),
    separation: z.array(measured(separationSchema)).optional()
  })
)
