/**
 * The usual cautions for paints that somebody owns: plain words that defer to the label, the safety data sheet and
 * local rules. Classes of pigments after what safety data sheets say alike (from memory; common practice).
 */
import { careFor } from '../exercise/care'
import { pigmentsOf, type Hazard } from './pigments'
import type { Medium, OwnPaint } from './own'

const OF: Readonly<Record<Hazard, string>> = {
  cadmium: 'Cadmium pigments are toxic when breathed in or swallowed: never spray, sand or handle them as powder.',
  cobalt: 'Cobalt pigments are toxic as dust and can make skin allergic: no spraying, no sanding, no bare fingers.',
  chromium: 'Chromium pigments can make skin allergic and are toxic as dust: no spraying, no sanding.',
  copper: '',
  manganese: 'Umbers hold manganese, toxic as dust: never sand them or stir them as powder.',
  dust: ''
}
/** Found in names where no index is given: old tubes say it in words. */
const IN_WORDS: readonly (readonly [RegExp, string])[] = [
  [/cadmium/i, OF.cadmium],
  [/cobalt|cerulean/i, OF.cobalt],
  [/viridian|chromium|chrome\b/i, OF.chromium],
  [/umber/i, OF.manganese],
  [
    /\blead\b|flake white|naples/i,
    'Lead pigments are poisonous, most of all to children and the unborn: keep them out of class, never sand them.'
  ],
  [/vermilion|mercury/i, 'Vermilion holds mercury: no heat, no sanding, no bare fingers.']
]

const CARE: Readonly<Record<Medium, Parameters<typeof careFor>[0]>> = {
  oil: 'paint',
  acrylic: 'paint',
  gouache: 'paint',
  watercolour: 'paint',
  pastel: 'dry',
  pencil: 'dry',
  other: 'any'
}
const SOLVENT = /solvent/

/** What one paint's pigments ask for; nothing for most. */
export function hazardOf({ name, pigment }: Pick<OwnPaint, 'name' | 'pigment'>): string[] {
  const found = new Set<string>()
  for (const { hazard } of pigmentsOf(pigment)) if (hazard && OF[hazard]) found.add(OF[hazard])
  for (const [words, sentence] of IN_WORDS) if (words.test(name)) found.add(sentence)
  return [...found]
}

/** @returns sentences in the order they are needed; none where nothing is owned. */
export function cautionsFor(paints: readonly Pick<OwnPaint, 'name' | 'pigment' | 'medium'>[]): string[] {
  const found = new Set(paints.flatMap(hazardOf))
  for (const medium of new Set(paints.map(p => p.medium)))
    for (const sentence of careFor(CARE[medium]))
      // Water cleans what water thins.
      if (medium === 'oil' || medium === 'other' || !SOLVENT.test(sentence)) found.add(sentence)
  const [last, others] = [[...found].filter(s => /label/.test(s)), [...found].filter(s => !/label/.test(s))]
  return [...others, ...last]
}
