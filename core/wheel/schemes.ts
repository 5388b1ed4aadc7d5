/**
 * The studio's colour schemes as sectors on a wheel, placed by one rotation. The
 * sector idea is that of harmonic templates: D. Cohen-Or et al., "Color Harmonization", SIGGRAPH 2006.
 */
export type SectorScheme =
  | 'monochrome'
  | 'analogous'
  | 'complementary'
  | 'near-complementary'
  | 'split-complementary'
  | 'triad'
  | 'analogous-accent'
  | 'wide-analogous'
  | 'tetrad'
  | 'square'
export type SchemeName = SectorScheme | 'achromatic' | 'achromatic-accent' | 'open'

/** Centre in degrees from the rotation, and half-width. */
export interface Sector {
  readonly centre: number
  readonly half: number
}
export interface Scheme {
  readonly name: SectorScheme
  readonly sectors: readonly Sector[]
  readonly width: number
}

const scheme = (name: SectorScheme, ...sectors: [number, number][]): Scheme => ({
  name,
  sectors: sectors.map(([centre, half]) => ({ centre, half })),
  width: sectors.reduce((sum, [, half]) => sum + 2 * half, 0)
})

export const SCHEMES: readonly Scheme[] = [
  scheme('monochrome', [0, 15]),
  scheme('analogous', [0, 45]),
  scheme('complementary', [0, 22.5], [180, 22.5]),
  scheme('near-complementary', [0, 22.5], [150, 22.5]),
  scheme('split-complementary', [0, 22.5], [150, 22.5], [210, 22.5]),
  scheme('triad', [0, 22.5], [120, 22.5], [240, 22.5]),
  scheme('analogous-accent', [0, 45], [180, 22.5]),
  scheme('wide-analogous', [0, 75]),
  scheme('tetrad', [0, 22.5], [60, 22.5], [180, 22.5], [240, 22.5]),
  scheme('square', [0, 22.5], [90, 22.5], [180, 22.5], [270, 22.5])
]

export const SCHEME_NAMES: readonly SchemeName[] = [
  'achromatic',
  'achromatic-accent',
  ...SCHEMES.map(s => s.name),
  'open'
]

/** @throws RangeError for a name that has no sectors. */
export function schemeNamed(name: SchemeName): Scheme {
  const found = SCHEMES.find(s => s.name === name)
  if (!found) throw new RangeError(`"${name}" is not a scheme with sectors`)
  return found
}

export const isSectorScheme = (name: SchemeName): name is SectorScheme => SCHEMES.some(s => s.name === name)

/** What each scheme is called in a sentence. */
export const SCHEME_WORDS: Readonly<Record<SchemeName, string>> = {
  achromatic: 'no colour',
  'achromatic-accent': 'greys with one accent',
  monochrome: 'one colour',
  analogous: 'three neighbours',
  complementary: 'opposites',
  'near-complementary': 'one step off the opposite',
  'split-complementary': 'split opposites',
  triad: 'a triad',
  'analogous-accent': 'neighbours with an accent',
  'wide-analogous': 'five neighbours',
  tetrad: 'two pairs of opposites',
  square: 'a square of four',
  open: 'an open palette'
}

/** Positions of a scheme's colours for a key hue: the sector centres turned to it. */
export function schemePositions(name: SectorScheme, keyDeg: number): number[] {
  return schemeNamed(name).sectors.map(s => (s.centre + keyDeg) % 360)
}
