/** A box as a class might own it, out of the shipped pigments: for tests. */
import type { OwnPaint } from '../paint/own'
import { PIGMENTS } from '../paint/pigments'

export const owned = (...names: readonly string[]): OwnPaint[] =>
  names.map(name => {
    const { masstone, tint, index } = PIGMENTS.find(p => p.name === name)!
    return { name, medium: 'gouache', pigment: index, masstone, tint }
  })

/** Two of each primary, earths, a deep green, black and white. */
export const CLASS_BOX = owned(
  'ultramarine',
  'warm yellow',
  'lemon yellow',
  'warm red',
  'quinacridone rose',
  'burnt sienna',
  'phthalocyanine green',
  'cerulean blue',
  'burnt umber',
  'carbon black',
  'titanium white'
)
