/** How much there is of each colour, and how strong. */
import { isMeasured, type FocusSection, type HarmonySection, type ValueSection } from '../../../measure/report'
import { rangeVerdict } from '../../../measure/value/value'
import { isNear, weighed } from '../../near'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { list, percent, sharesOf } from '../../words'
import { inPlace } from '../places'

const WHY = {
  proportion:
    'When every colour has the same amount, none leads and the eye has nowhere to begin.'
    + ' One colour leads, one assists, one is the accent.',
  saturation:
    'A colour looks strong beside a quiet one.'
    + ' When everything is saturated nothing is; when nothing is, the picture has no voice.'
}

/**
 * So nearly equal amounts are a fault where the colours are strong (median chroma); up to the standard it is for the
 * critic to say.
 */
const EQUAL = 1.2,
  STRONG = 0.06

/** Colours of an open palette that are compared: from this share of the coloured area on. */
const COLOUR = 0.06

/** By area: the scheme's sectors, or where none holds the colours themselves; null for fewer than two. */
function amountsOf({
  proportion,
  scheme,
  families
}: HarmonySection): { shares: readonly number[]; lead: number } | null {
  if (scheme.name !== 'open') return isMeasured(proportion) ? proportion : null
  if (!isMeasured(families)) return null
  const total = families.reduce((sum, f) => sum + f.area, 0),
    areas = families.map(f => f.area / total).filter(share => share >= COLOUR)
  if (areas.length < 2) return null
  const shares = areas.sort((p, q) => q - p)
  // Several colours of an open palette are equal only where the last is near the first.
  const { length } = shares
  return { shares, lead: length > 2 ? shares[0] / shares[Math.ceil(length / 2)] : shares[0] / shares[1] }
}

/** Null where there are no amounts to compare, and where quiet colours have equal ones. */
export function proportionReading(harmony: HarmonySection, { lead: standard }: HouseStandards): Reading | null {
  const amounts = amountsOf(harmony)
  if (!amounts) return null
  const { shares, lead } = amounts,
    leads = lead >= standard,
    strong = harmony.saturation.median >= STRONG,
    parts = sharesOf(shares)
  // Quiet colours in equal amounts are a ground, not a quarrel.
  if (!leads && !(strong && lead < EQUAL)) return null
  return {
    id: 'harmony.proportion',
    station: 'harmony',
    verdict: leads ? 'works' : 'fix',
    sentence: leads
      ? `One colour leads, with ${parts[0]} of the coloured area;`
        + ` ${list(parts.slice(1))} ${parts.length > 2 ? 'follow' : 'follows'}.`
      : `Equal amounts: ${list(parts)}. No colour leads.`,
    why: WHY.proportion,
    figure: {
      unit: 'times',
      value: lead,
      standard,
      low: 1,
      high: Math.max(4, lead),
      label: `the first colour has ${lead.toFixed(1)} times the area of the next, ${standard} wanted`,
      house: 'lead'
    },
    trains: ['opposites'],
    ...(leads
      ? {}
      : {
          weight: weighed(standard - lead, 0, 1),
          correction: {
            what: 'The colours have equal amounts, so none leads.',
            todo: 'Let one colour take most of the picture and keep the others for small places.',
            target: { measure: 'lead', atLeast: standard }
          }
        })
  }
}

/** Strong against quiet: the strongest twentieth has this much more chroma than the middle, and is strong at all. */
const CONTRAST = { times: 2.2, least: 0.1 } as const
/** Patches of the strongest colour, when there are no more than these, are a place to name. */
const FEW_PLACES = 3

/** An accent is seen from this share of the picture on. */
const ACCENT_SEEN = 0.002

/** Null where nothing contrasts. */
interface Beside {
  readonly focus: FocusSection | null
  readonly value: ValueSection | null
}

export function saturationReading(
  harmony: HarmonySection,
  { focus, value }: Beside,
  standards: HouseStandards
): Reading | null {
  const { vividForHue: vivid, median, p95 } = harmony.saturation
  const base = { id: 'harmony.saturation', station: 'harmony', why: WHY.saturation, trains: [] } as const
  // One strong colour with darks or greys is a decision; it takes several to shout each other down.
  if (vivid > standards.vivid && harmony.colours > 1) {
    const near = isNear(vivid, standards.vivid)
    return {
      ...base,
      verdict: near ? 'look' : 'fix',
      sentence:
        `${percent(vivid)} of the picture is vivid: everything shouts.` + ' Vary value and saturation, not only hue.',
      figure: {
        unit: 'share',
        value: vivid,
        standard: standards.vivid,
        low: 0,
        high: 1,
        label: `${percent(vivid)} vivid, at most ${percent(standards.vivid)} wanted`,
        house: 'vivid'
      },
      trains: ['muted'],
      weight: weighed(vivid, standards.vivid, 1),
      correction: {
        what: 'Everything is vivid, so nothing is.',
        todo: 'Keep full strength for one place, and grey the rest with its opposite.',
        target: null
      }
    }
  }
  const spots = focus?.vivid ?? []
  if (
    p95 >= CONTRAST.least
    && p95 > CONTRAST.times * Math.max(median, 0.02)
    && spots.length > 0
    && spots.length <= FEW_PLACES
  ) {
    const [spot] = spots
    return {
      ...base,
      verdict: 'works',
      sentence:
        'Strong beside quiet:'
        + ` the ${spot.named} ${inPlace(spot)} has the strongest colour, and what is around it leaves it that.`,
      points: spots.map((s, i) => ({ x: s.x, y: s.y, label: String(i + 1) }))
    }
  }
  // One quiet colour throughout may be a plan; in a picture of greys it is the plan. A small strong other one is the
  // accent, and so is a strong light in a full range.
  const families = isMeasured(harmony.families) ? harmony.families : []
  if (families.slice(1).some(f => f.area >= ACCENT_SEEN && f.chroma > families[0].chroma)) return null
  if (
    harmony.colours !== 1
    || p95 >= standards.dull
    || (value !== null && rangeVerdict(value.range, standards.range) === 'full')
    || harmony.neutrals > 0.85
    || harmony.scheme.name === 'achromatic-accent'
  )
    return null
  return {
    ...base,
    verdict: 'look',
    sentence: 'One colour, and a quiet one throughout: the picture misses an accent.',
    trains: ['opposites'],
    weight: 0.25,
    correction: {
      what: 'One muted colour carries everything.',
      todo: 'Put its opposite, a little stronger, in one small place where the eye should stop.',
      target: { measure: 'coverage', scheme: 'complementary', atLeast: 0.85 }
    }
  }
}
