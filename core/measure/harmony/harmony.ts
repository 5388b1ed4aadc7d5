/** Colour families, scheme, proportion, saturation and palette. */
import { NEUTRAL_CHROMA } from '../../colour/oklab'
import { round3 } from '../../numeric/round'
import { percentile, shareBelow } from '../../picture/distribution'
import type { Planes } from '../../picture/planes'
import type { Raster } from '../../picture/raster'
import type { WheelName } from '../../wheel/steps'
import type { SchemeName } from '../../wheel/schemes'
import { measureFamilies } from './families'
import { hueHistogram, type HueHistogram } from './hues'
import { measurePalette } from './palette'
import { proportionOf } from './proportion'
import { notMeasurable, type Family, type HarmonySection, type Measured, type SchemeSection } from '../report'
import { VIVID_ABOVE } from './vivid'
import { fitAt, holds, keepsTo, rankSchemes, reportFit, type Fit } from './scheme'

/** Coloured area under which a picture is achromatic; neutral area over which one accent makes a scheme of its own. */
const ACHROMATIC_BELOW = 0.02
const ACCENT_NEUTRALS = 0.7

/** A family counts as one of the picture's colours from this share of weight. */
export const COLOUR_WEIGHT = 0.05

const MUTED_BELOW = 0.08

interface Coloured {
  readonly ranking: readonly Fit[]
  readonly neutrals: number
  readonly weight: Float64Array
  readonly families: readonly Pick<Family, 'position' | 'weight'>[]
}

/** The scheme a picture keeps to, and the fit that says how. Null fit: achromatic. */
export function nameScheme({ ranking, neutrals, weight, families }: Coloured): {
  name: SchemeName
  fit: Fit | null
} {
  if (1 - neutrals < ACHROMATIC_BELOW) return { name: 'achromatic', fit: null }
  const monochrome = ranking.find(f => f.name === 'monochrome')
  if (neutrals > ACCENT_NEUTRALS && monochrome && holds(monochrome))
    return { name: 'achromatic-accent', fit: monochrome }
  const held = ranking.find(fit => keepsTo(fit, weight, families))
  return held ? { name: held.name, fit: held } : { name: 'open', fit: ranking[0] }
}

function schemeSection(name: SchemeName, fit: Fit | null): SchemeSection {
  if (fit === null) {
    const none = notMeasurable('the picture has too little colour for a scheme')
    return { name, rotation: none, coverage: none, sectors: none }
  }
  const { rotation, coverage, sectors } = reportFit(fit)
  return { name, rotation, coverage, sectors }
}

export function measureHarmony({
  raster,
  planes,
  wheel,
  hues = hueHistogram(raster, planes, wheel)
}: {
  raster: Raster
  planes: Planes
  wheel: WheelName
  hues?: HueHistogram
}): Measured<HarmonySection> {
  if (planes.count === 0) return notMeasurable('every pixel is transparent')
  const chroma = planes.chromas
  const neutrals = 1 - hues.colouredPixels / planes.count
  const ranking = hues.colouredPixels > 0 ? rankSchemes(hues.weight) : []
  const families = 1 - neutrals < ACHROMATIC_BELOW ? [] : measureFamilies(planes, hues, wheel)
  const { name, fit } = nameScheme({ ranking, neutrals, weight: hues.weight, families })
  const achromatic = fit === null ? notMeasurable('the picture has too little colour') : null
  // Amounts are seen as area: a strong colour does not take more of the picture than it covers.
  const proportion = fit && proportionOf(fitAt(fit.name, Float64Array.from(hues.pixels), fit.rotation).sectors)
  const vivid = 1 - shareBelow(chroma, VIVID_ABOVE)
  return {
    families: achromatic ?? families,
    colours: families.filter(f => f.weight >= COLOUR_WEIGHT).length,
    neutrals: round3(neutrals),
    scheme: schemeSection(name, fit),
    ranking: achromatic ?? ranking.map(reportFit),
    offScheme: achromatic ?? round3(1 - fit!.coverage),
    proportion:
      achromatic
      ?? (proportion
        ? {
            shares: proportion.shares.map(round3),
            evenness: round3(proportion.evenness),
            lead: round3(proportion.lead)
          }
        : notMeasurable('a scheme of one sector has no proportion')),
    saturation: {
      median: round3(percentile(chroma, 0.5)),
      p95: round3(percentile(chroma, 0.95)),
      vivid: round3(vivid),
      vividForHue: round3(vivid + hues.vividForHue / planes.count),
      muted: round3(shareBelow(chroma, MUTED_BELOW) - shareBelow(chroma, NEUTRAL_CHROMA))
    },
    palette: measurePalette(raster, planes, wheel)
  }
}
