/**
 * Generic pigments by their colour index name. Names, opacity and lightfastness are what makers' charts say alike
 * (classes after ASTM D4303, I lasts longest; from memory); colours are ours, of no maker's paint: a middling
 * gouache, and one part of it in ten of white. A person's own swatch is always better.
 */
export const OPACITIES = ['transparent', 'half', 'opaque'] as const
export type Opacity = (typeof OPACITIES)[number]

/** What a pigment can do to somebody: which sentence stands beside it. */
export type Hazard = 'cadmium' | 'cobalt' | 'chromium' | 'copper' | 'manganese' | 'dust'

export interface Pigment {
  /** Colour index generic name, as on the tube. */
  readonly index: string
  readonly name: string
  readonly masstone: string
  readonly tint: string
  readonly opacity: Opacity
  /** ASTM class, I–V. */
  readonly lasts: 'I' | 'II' | 'III' | 'IV' | 'V'
  readonly hazard: Hazard | null
}

type Row = readonly [
  index: string,
  name: string,
  masstone: string,
  tint: string,
  opacity: 't' | 'h' | 'o',
  lasts: Pigment['lasts'],
  hazard?: Hazard
]

// prettier-ignore
const ROWS: readonly Row[] = [
  ['PW6', 'titanium white', '#f8f8f5', '#f8f8f5', 'o', 'I', 'dust'],
  ['PW4', 'zinc white', '#f6f7f3', '#f8f8f5', 'h', 'I', 'dust'],
  ['PY3', 'lemon yellow', '#f3e33a', '#fbf6cf', 'h', 'II'],
  ['PY35', 'cadmium yellow', '#f6c416', '#fbedbb', 'o', 'I', 'cadmium'],
  ['PY42', 'yellow iron oxide', '#bf8a33', '#ecdcbd', 'h', 'I', 'dust'],
  ['PY43', 'yellow ochre', '#b98a3e', '#ebdec4', 'h', 'I', 'dust'],
  ['PY53', 'nickel titanium yellow', '#efdf86', '#f7f2d6', 'o', 'I', 'dust'],
  ['PY65', 'warm yellow', '#f2a714', '#fae3b4', 'h', 'I'],
  ['PY74', 'middle yellow', '#f7d116', '#fbf0b4', 'h', 'II'],
  ['PY83', 'deep warm yellow', '#e79a1b', '#f8dba9', 't', 'I'],
  ['PY150', 'green gold', '#9c7a17', '#e9dca0', 't', 'I'],
  ['PY154', 'yellow', '#f6d32c', '#fbf1bd', 'h', 'I'],
  ['PO20', 'cadmium orange', '#ea7420', '#f8d3b3', 'o', 'I', 'cadmium'],
  ['PO62', 'orange', '#ec7a26', '#f9d5b8', 'h', 'I'],
  ['PO73', 'warm orange', '#e2542a', '#f7c4b1', 'h', 'I'],
  ['PR101', 'red iron oxide', '#8e3f2b', '#d9b1a6', 'o', 'I', 'dust'],
  ['PR108', 'cadmium red', '#c8322a', '#efb9b0', 'o', 'I', 'cadmium'],
  ['PR112', 'naphthol red', '#cf2e2f', '#f3b3b0', 'h', 'II'],
  ['PR254', 'warm red', '#d4372c', '#f5bdb5', 'h', 'I'],
  ['PR122', 'quinacridone magenta', '#a51c66', '#e6a9cb', 't', 'I'],
  ['PR170', 'middle red', '#bd2435', '#eeaab0', 'h', 'II'],
  ['PR177', 'deep cool red', '#8e1a2c', '#dda0a8', 't', 'I'],
  ['PR83', 'madder red', '#84152f', '#dba4b0', 't', 'III'],
  ['PV19', 'quinacridone rose', '#b81f4e', '#eda9c0', 't', 'I'],
  ['PV23', 'dioxazine violet', '#3a2158', '#b3a1cc', 't', 'I'],
  ['PV14', 'cobalt violet', '#7a4a8f', '#d5c2de', 'h', 'I', 'cobalt'],
  ['PV15', 'ultramarine violet', '#554477', '#cbc3d9', 'h', 'I'],
  ['PB29', 'ultramarine', '#1f2a86', '#b3bedf', 't', 'I'],
  ['PB28', 'cobalt blue', '#2450a0', '#b7c8e6', 'h', 'I', 'cobalt'],
  ['PB35', 'cerulean blue', '#2b78a8', '#bed9e7', 'o', 'I', 'cobalt'],
  ['PB15:3', 'phthalocyanine blue', '#123a72', '#8fb9dd', 't', 'I', 'copper'],
  ['PB27', 'iron blue', '#15304f', '#9db6cf', 't', 'I'],
  ['PB36', 'cobalt turquoise', '#137a86', '#b1d9dc', 'h', 'I', 'chromium'],
  ['PB60', 'indanthrone blue', '#1f2b55', '#a5b0cb', 't', 'I'],
  ['PG7', 'phthalocyanine green', '#0b4a45', '#8fcdbd', 't', 'I', 'copper'],
  ['PG36', 'warm phthalocyanine green', '#12583b', '#99d3ab', 't', 'I', 'copper'],
  ['PG17', 'chromium oxide green', '#55743f', '#c3d0b8', 'o', 'I', 'chromium'],
  ['PG18', 'viridian', '#17604f', '#aed6c9', 't', 'I', 'chromium'],
  ['PG23', 'green earth', '#6b7a5d', '#cfd6c8', 't', 'I', 'dust'],
  ['PG50', 'cobalt green', '#2c7d63', '#b4d9cb', 'h', 'I', 'cobalt'],
  ['PBr7', 'burnt sienna', '#7d4428', '#d8bdae', 't', 'I', 'dust'],
  ['PBr7:2', 'raw sienna', '#a5702f', '#e4d1b5', 't', 'I', 'dust'],
  ['PBr7:3', 'burnt umber', '#4f3526', '#c3b5ab', 'h', 'I', 'manganese'],
  ['PBr7:4', 'raw umber', '#5f4c33', '#c9c0b1', 'h', 'I', 'manganese'],
  ['PBk7', 'carbon black', '#1f1f1f', '#a3a6a8', 'o', 'I', 'dust'],
  ['PBk9', 'bone black', '#262422', '#b2afac', 'h', 'I', 'dust'],
  ['PBk11', 'iron black', '#282727', '#aaabac', 'o', 'I', 'dust']
]
const OPACITY: Readonly<Record<Row[4], Opacity>> = { t: 'transparent', h: 'half', o: 'opaque' }

export const PIGMENTS: readonly Pigment[] = ROWS.map(([index, name, masstone, tint, opacity, lasts, hazard]) => ({
  // One index name stands for four earths: the list's own numbers are not the tube's.
  index: index.replace(/^(PBr7):\d$/, '$1'),
  name,
  masstone,
  tint,
  opacity: OPACITY[opacity],
  lasts,
  hazard: hazard ?? null
}))

const plain = (index: string): string => index.replace(/\s/g, '').toUpperCase()

/** @param of as on a tube: `PB29`, `PB 15:3`, several with `,` or `+`. @returns those that are on the list. */
export function pigmentsOf(of: string): Pigment[] {
  const asked = of.split(/[,+/]/).map(plain)
  return PIGMENTS.filter((p, i) => asked.includes(plain(p.index)) && PIGMENTS.findIndex(q => q.index === p.index) === i)
}
