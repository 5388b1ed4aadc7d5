/** Readings of the harmony station. */
import { isMeasured, type Family, type HarmonySection } from '../../../measure/report'
import { HOLDS } from '../../../measure/scheme'
import { SCHEME_WORDS, type SchemeName, type SectorScheme } from '../../../wheel/schemes'
import type { WheelName } from '../../../wheel/steps'
import type { LensRequest } from '../../../lens/lens'
import type { Reading } from '../../reading'
import type { HouseStandards } from '../../standards'
import { capital, count, list, percent, stepWords, wholePercent } from '../../words'

const WHY = {
  scheme:
    'Colours that keep to a scheme belong together before anyone asks why. Leaving it is a decision, best kept for one place.',
  proportion:
    'When every colour has the same amount, none leads and the eye has nowhere to begin. One colour leads, one assists, one is the accent.',
  saturation:
    'A colour looks strong beside a quiet one. When everything is saturated nothing is; when nothing is, the picture has no voice.',
  declared: "A plan is the one thing a picture can be held to fairly: it is the maker's own."
}

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

const familyNames = (families: readonly Family[]): string => list([...new Set(families.map(f => stepWords(f.step)))])

export function schemeReading(harmony: HarmonySection, wheel: WheelName, { opposites }: HouseStandards): Reading {
  const { scheme, families } = harmony
  const main = isMeasured(families) ? families.filter(f => f.weight >= 0.05) : []
  const base = {
    id: 'harmony.scheme',
    station: 'harmony',
    why: WHY.scheme,
    evidence: offScheme(harmony, wheel)
  } as const
  if (scheme.name === 'achromatic') {
    return {
      ...base,
      verdict: 'look',
      sentence: 'There is no colour to speak of: the picture is made of greys.',
      trains: ['opposites']
    }
  }
  const coverage = isMeasured(scheme.coverage) ? scheme.coverage : 0
  if (scheme.name === 'open') {
    const nearest = isMeasured(harmony.ranking) ? harmony.ranking[0] : null
    return {
      ...base,
      verdict: 'look',
      sentence: `${capital(count(main.length))} colours and no scheme: ${familyNames(main)}. Nearest is ${nearest ? SCHEME_WORDS[nearest.name] : 'none'}, which holds ${percent(coverage)} of the colour.`,
      trains: ['opposites'],
      ...(nearest
        ? {
            correction: {
              what: `${percent(1 - coverage)} of the colour belongs to no scheme.`,
              todo: 'Choose the pair the picture is about and mix the strays toward it.',
              target: { measure: 'coverage', scheme: nearest.name as SectorScheme, atLeast: 0.85 }
            }
          }
        : {})
    }
  }
  const hard = scheme.name === 'complementary' && opposites === 'one-step'
  return {
    ...base,
    verdict: hard ? 'look' : 'works',
    sentence: `The colour keeps to ${SCHEME_WORDS[scheme.name]}: ${familyNames(main)} hold ${percent(coverage)} of it.${hard ? ' Here opposites are taken one step off, which is softer.' : ''}`,
    figure: {
      unit: 'share',
      value: coverage,
      standard: HOLDS.coverage,
      low: 0,
      high: 1,
      label: `${percent(coverage)} of the colour inside the scheme, ${wholePercent(HOLDS.coverage)} wanted`
    },
    trains: []
  }
}

export function proportionReading(harmony: HarmonySection, standards: HouseStandards): Reading | null {
  if (!isMeasured(harmony.proportion)) return null
  const { shares, evenness } = harmony.proportion
  const equal = evenness > standards.evenness
  return {
    id: 'harmony.proportion',
    station: 'harmony',
    verdict: equal ? 'fix' : 'works',
    sentence: equal
      ? `Equal amounts: ${list(shares.map(percent))}. No colour leads.`
      : `One colour leads with ${percent(shares[0])}; ${list(shares.slice(1).map(percent))} follow.`,
    why: WHY.proportion,
    figure: {
      unit: 'share',
      value: evenness,
      standard: standards.evenness,
      low: 0,
      high: 1,
      label: `evenness ${percent(evenness)}, under ${percent(standards.evenness)} wanted`
    },
    trains: ['opposites'],
    ...(equal
      ? {
          correction: {
            what: 'The colours have equal amounts, so none leads.',
            todo: 'Let one colour take most of the picture and keep the others for small places.',
            target: { measure: 'evenness', atMost: standards.evenness }
          }
        }
      : {})
  }
}

export function saturationReading(harmony: HarmonySection, standards: HouseStandards): Reading {
  const { vivid, muted, p95 } = harmony.saturation
  const base = { id: 'harmony.saturation', station: 'harmony', why: WHY.saturation } as const
  if (vivid > standards.vivid) {
    return {
      ...base,
      verdict: 'fix',
      sentence: `${percent(vivid)} of the picture is vivid: everything shouts. Vary value and saturation, not only hue.`,
      trains: ['opposites']
    }
  }
  const oneFamily = harmony.colours <= 1
  if (oneFamily && p95 < standards.dull) {
    return {
      ...base,
      verdict: 'look',
      sentence: 'One colour, and a quiet one throughout: the picture misses an accent.',
      trains: ['opposites'],
      correction: {
        what: 'One muted colour carries everything.',
        todo: 'Put its opposite, a little stronger, in one small place where the eye should stop.',
        target: { measure: 'coverage', scheme: 'complementary', atLeast: 0.85 }
      }
    }
  }
  return {
    ...base,
    verdict: 'works',
    sentence: `Strong beside quiet: ${percent(vivid)} vivid, ${percent(muted)} muted, ${percent(harmony.neutrals)} grey.`,
    trains: []
  }
}

/** What the maker planned, and the share of colour that keeps to it. */
export interface DeclaredFit {
  readonly scheme: SectorScheme
  readonly coverage: number
  readonly rotation: number
}

export function declaredReading({ scheme, coverage, rotation }: DeclaredFit, wheel: WheelName): Reading {
  const kept = coverage >= HOLDS.coverage
  return {
    id: 'harmony.declared',
    station: 'harmony',
    verdict: kept ? 'works' : 'look',
    sentence: kept
      ? `The plan was ${SCHEME_WORDS[scheme]}, and ${percent(coverage)} of the colour keeps to it.`
      : `The plan was ${SCHEME_WORDS[scheme]}, but only ${percent(coverage)} of the colour keeps to it.`,
    why: WHY.declared,
    figure: {
      unit: 'share',
      value: coverage,
      standard: HOLDS.coverage,
      low: 0,
      high: 1,
      label: `${percent(coverage)} of the colour keeps to the plan, ${wholePercent(HOLDS.coverage)} wanted`
    },
    evidence: { name: 'off-scheme', wheel, scheme, rotation },
    trains: ['opposites'],
    ...(kept
      ? {}
      : {
          correction: {
            what: `The colour leaves the plan: ${SCHEME_WORDS[scheme]}.`,
            todo: 'Mix what lies outside toward the nearer of the planned colours.',
            target: { measure: 'coverage', scheme, atLeast: 0.85 }
          }
        })
  }
}
