/** The scheme that the colour keeps to, named as a person would. */
import type { LensRequest } from '../../../lens/lens'
import { isMeasured, type Family, type HarmonySection } from '../../../measure/report'
import { familyInside, HOLDS } from '../../../measure/harmony/scheme'
import { SCHEME_WORDS, type SchemeName, type SectorScheme } from '../../../wheel/schemes'
import type { WheelName } from '../../../wheel/steps'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, count, list, percent, wholePercent } from '../../words'

const WHY =
  'Colours that keep to a scheme belong together before anyone asks why.'
  + ' Leaving it is a decision, best kept for one place.'

const SECTOR_NAMES = ['achromatic', 'open'] as readonly SchemeName[]
/** The sectors behind a scheme's name: an accent among greys is a one-colour scheme. */
function sectorsOf(name: SchemeName): SectorScheme | null {
  return SECTOR_NAMES.includes(name) ? null : name === 'achromatic-accent' ? 'monochrome' : (name as SectorScheme)
}

function offScheme(harmony: HarmonySection, wheel: WheelName): LensRequest | undefined {
  const { name, rotation } = harmony.scheme
  const ranking = isMeasured(harmony.ranking) ? harmony.ranking : []
  const scheme = sectorsOf(name) ?? (name === 'open' ? (ranking[0]?.name as SectorScheme | undefined) : undefined)
  return scheme && isMeasured(rotation) ? { name: 'off-scheme', wheel, scheme, rotation } : undefined
}

/** A family is one of the picture's colours from this share of the colour on, by weight or by area. */
const COLOUR = 0.05
/** An accent: little of it, and stronger than what it is an accent of; enough to be seen. */
const ACCENT = { most: 0.08, least: 0.003, stronger: 1.15 } as const

/** Names of colours, each once: the largest first. */
const namesOf = (families: readonly Family[]): string[] => [
  ...new Set([...families].sort((p, q) => q.area - p.area).map(f => f.named))
]

/** A small strong colour outside the scheme, which may well be what the picture is about. */
function accentOf(families: readonly Family[], inside: readonly Family[]): Family | null {
  const strongest = Math.max(0, ...inside.map(f => f.chroma))
  const outside = families.filter(
    f =>
      !inside.includes(f) && f.weight < ACCENT.most && f.area >= ACCENT.least && f.chroma >= ACCENT.stronger * strongest
  )
  return outside[0] ?? null
}

/** Null where a few colours keep to no scheme. */
export function schemeReading(
  harmony: HarmonySection,
  wheel: WheelName,
  { opposites }: HouseStandards
): Reading | null {
  const { scheme, families: found, ranking } = harmony,
    families = isMeasured(found) ? found : [],
    total = families.reduce((sum, f) => sum + f.area, 0),
    main = families.filter(f => f.weight >= COLOUR || f.area >= COLOUR * total)
  const base = { id: 'harmony.scheme', station: 'harmony', why: WHY, evidence: offScheme(harmony, wheel) } as const
  if (scheme.name === 'achromatic') {
    return {
      ...base,
      verdict: 'works',
      sentence: 'The picture is made of greys: there is no colour to speak of.',
      trains: ['limited-palette', 'opposites']
    }
  }
  const coverage = isMeasured(scheme.coverage) ? scheme.coverage : 0
  if (scheme.name === 'open') {
    // Two or three colours need no scheme to belong together: that they keep to none says nothing.
    if (main.length <= 3) return null
    const nearest = isMeasured(ranking) ? ranking[0] : null
    return {
      ...base,
      verdict: 'look',
      sentence:
        `${capital(list(namesOf(main)))} keep to no scheme.`
        + (nearest && coverage >= 0.6
          ? ` Nearest is ${SCHEME_WORDS[nearest.name]}, which would hold ${percent(coverage)} of the colour.`
          : ''),
      trains: ['opposites'],
      ...(nearest
        ? {
            weight: 0.35,
            correction: {
              what: `${capital(count(main.length))} colours and no scheme.`,
              todo: 'Choose the pair the picture is about and mix the strays toward it.',
              target: { measure: 'coverage', scheme: nearest.name as SectorScheme, atLeast: 0.85 }
            }
          }
        : {})
    }
  }
  const sectors = sectorsOf(scheme.name)!,
    rotation = isMeasured(scheme.rotation) ? scheme.rotation : 0
  const inside = main.filter(f => familyInside({ name: sectors, rotation }, f.position)),
    names = namesOf(inside),
    accent = accentOf(families, inside)
  const hard = scheme.name === 'complementary' && opposites === 'one-step'
  const held =
    names.length > 1
      ? `${list(names)} hold ${percent(coverage)} of it`
      : `${names[0] ?? 'it'} has ${percent(coverage)} of it`
  const sentence =
    scheme.name === 'achromatic-accent'
      ? `Greys, with an accent of ${list(names)}.`
      : `The colour keeps to ${SCHEME_WORDS[scheme.name]}:`
        + ` ${held}${accent ? `, with an accent of ${accent.named}` : ''}.`
  return {
    ...base,
    verdict: hard ? 'look' : 'works',
    sentence: `${sentence}${hard ? ' Here opposites are taken one step off, which is softer.' : ''}`,
    figure: {
      unit: 'share',
      value: coverage,
      standard: HOLDS.coverage,
      low: 0,
      high: 1,
      label: `${percent(coverage)} of the colour inside the scheme, ${wholePercent(HOLDS.coverage)} wanted`
    },
    trains: [],
    ...(hard ? { weight: 0.15 } : {})
  }
}
