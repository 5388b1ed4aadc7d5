/**
 * Scenes of known truth for the judgement bench: a boat on the water, painted in many manners, as it should be and with
 * one or several planted faults. Drawn as SVG, so that the same seed is the same picture everywhere.
 */
import sharp from 'sharp'
import { nothingKnown, type PieceKnown } from '../../core/critique/piece/known'
import { gaussian, seededRandom, type Random } from '../../core/numeric/random'
import { createRaster, type Raster } from '../../core/picture/raster'
import type { Half } from './judged'
import { drawFurther, type Drawn, type FurtherSubject } from './subjects'

export const MANNERS = [
  'flat',
  'soft',
  'textured',
  'line',
  'high-key',
  'low-key',
  'greys',
  'night',
  'margin',
  'panels',
  'one-figure',
  'crowd'
] as const
export type Manner = (typeof MANNERS)[number]

/** Planted faults, each by the reading that should find it. */
export const FAULTS = {
  narrow: 'value.range',
  black: 'value.black',
  merges: 'value.separation',
  rival: 'focus.intended',
  equal: 'harmony.proportion',
  vivid: 'harmony.saturation',
  halved: 'composition.horizon'
} as const
export type Fault = keyof typeof FAULTS

export interface Scene {
  readonly name: string
  readonly manner: Manner
  readonly faults: readonly Fault[]
  readonly raster: Raster
  readonly known: PieceKnown
}

const WIDTH = 640,
  HEIGHT = 480

interface Palette {
  readonly sky: string
  readonly sea: string
  readonly land: string
  readonly hull: string
  readonly sail: string
  readonly dark: string
}

const grey = (value: number): string => {
  const byte = Math.round(255 * value)
    .toString(16)
    .padStart(2, '0')
  return `#${byte}${byte}${byte}`
}

/** Colours of a manner: one blue family with its opposite kept for the hull. */
function paletteOf(manner: Manner, faults: ReadonlySet<Fault>): Palette {
  if (faults.has('narrow')) {
    return { sky: '#8a9097', sea: '#767d86', land: '#6f6d70', hull: '#8d7a6e', sail: '#a2a5a8', dark: '#625f60' }
  }
  if (faults.has('vivid')) {
    return { sky: '#00a2ff', sea: '#0050f0', land: '#d000c8', hull: '#ff7a00', sail: '#fff000', dark: '#5a00b0' }
  }
  if (faults.has('equal')) {
    return { sky: '#e08a2c', sea: '#1f5fa8', land: '#e08a2c', hull: '#c9691c', sail: '#fbf3e2', dark: '#14283f' }
  }
  switch (manner) {
    case 'high-key':
      return { sky: '#eef3f6', sea: '#cfdfe8', land: '#b9cbd6', hull: '#d9792b', sail: '#ffffff', dark: '#37506a' }
    case 'low-key':
    case 'night':
      return { sky: '#1b2c44', sea: '#0c1826', land: '#101c2c', hull: '#c2661f', sail: '#f4e7cf', dark: '#1a2030' }
    case 'greys':
      return { sky: grey(0.78), sea: grey(0.5), land: grey(0.34), hull: grey(0.16), sail: grey(0.98), dark: grey(0.14) }
    default:
      return { sky: '#a9c6da', sea: '#3f7196', land: '#5c7f90', hull: '#d9691c', sail: '#fdf8ee', dark: '#081420' }
  }
}

const rect = (x: number, y: number, w: number, h: number, fill: string): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}"/>`

/** A boat with its foot at (x, y). */
function boat(x: number, y: number, size: number, { hull, sail, dark }: Palette): string {
  const s = size
  return (
    `<path d="M${x - s} ${y - 0.32 * s}L${x + s} ${y - 0.32 * s}L${x + 0.7 * s} ${y}L${x - 0.7 * s} ${y}Z"`
    + ` fill="${hull}"/>`
    + `<path d="M${x - 0.05 * s} ${y - 0.4 * s}L${x - 0.05 * s} ${y - 1.8 * s}L${x + 0.85 * s} ${y - 0.4 * s}Z"`
    + ` fill="${sail}"/>`
    + rect(x - 0.12 * s, y - 1.85 * s, 0.06 * s, 1.55 * s, dark)
  )
}

interface Placed {
  readonly x: number
  readonly y: number
  readonly size: number
}

function body(
  manner: Manner,
  faults: ReadonlySet<Fault>,
  random: Random
): { svg: string; at: Placed; colours: Palette } {
  const colours = paletteOf(manner, faults),
    horizon = HEIGHT * (faults.has('halved') ? 0.5 : 0.3 + 0.06 * random())
  const at: Placed = {
    x: WIDTH * (0.34 + 0.3 * random()),
    y: horizon + HEIGHT * (0.28 + 0.1 * random()),
    size: 46 + 26 * random()
  }
  const landFrom = WIDTH * random() * 0.4
  const merged = faults.has('merges')
    ? { ...colours, hull: colours.sea, sail: mix(colours.sea, colours.sky, 0.12), dark: colours.sea }
    : colours
  const parts = [
    rect(0, 0, WIDTH, HEIGHT, colours.sky),
    `<rect x="0" y="${horizon}" width="${WIDTH}" height="${HEIGHT}" fill="${colours.sea}"/>`,
    // Land would break the division that is planted.
    faults.has('halved') || manner === 'one-figure'
      ? ''
      : `<path d="M${landFrom} ${horizon}Q${landFrom + 120} ${horizon - 70} ${landFrom + 300} ${horizon}Z"`
        + ` fill="${colours.land}"/>`,
    rect(0, HEIGHT * (faults.has('halved') ? 0.95 : 0.88), WIDTH, HEIGHT * 0.12, colours.dark),
    manner === 'night' ? `<circle cx="${WIDTH * 0.78}" cy="${HEIGHT * 0.12}" r="9" fill="#b9bccb"/>` : '',
    manner === 'crowd'
      ? Array.from({ length: 9 }, (_, i) =>
          boat(40 + i * 70 + 12 * gaussian(random), horizon + 26 + 14 * random(), 15, {
            ...colours,
            hull: colours.land,
            sail: mix(colours.sky, colours.sea, 0.5)
          })
        ).join('')
      : '',
    faults.has('black') ? rect(WIDTH * 0.02, HEIGHT * 0.62, WIDTH * 0.24, HEIGHT * 0.33, '#040404') : '',
    faults.has('equal') ? rect(0, HEIGHT * 0.62, WIDTH, HEIGHT * 0.2, colours.land) : '',
    boat(at.x, at.y, at.size, merged),
    faults.has('rival')
      ? `<circle cx="${at.x < WIDTH / 2 ? WIDTH * 0.82 : WIDTH * 0.16}" cy="${HEIGHT * 0.7}" r="34"`
        + ` fill="#ff2a12" stroke="#ffffff" stroke-width="9"/>`
      : ''
  ]
  return { svg: parts.join(''), at, colours }
}

function mix(p: string, q: string, t: number): string {
  const of = (hex: string): number[] => [1, 3, 5].map(i => parseInt(hex.slice(i, i + 2), 16))
  const a = of(p),
    b = of(q)
  return `#${a
    .map((v, i) =>
      Math.round(v + (b[i]! - v) * t)
        .toString(16)
        .padStart(2, '0')
    )
    .join('')}`
}

/** What the manner does with the drawing: outlines, a soft edge, a margin round it. */
function finished(manner: Manner, svg: string): string {
  const whole = (inner: string): string =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH}" height="${HEIGHT}"`
    + ` viewBox="0 0 ${WIDTH} ${HEIGHT}">${inner}</svg>`
  if (manner === 'line')
    return whole(svg.replaceAll(/(?<!stroke-width="9")\/>/g, ' stroke="#1a2630" stroke-width="1.4"/>'))
  if (manner === 'margin') {
    const m = 44
    return whole(
      rect(0, 0, WIDTH, HEIGHT, '#f7f5ef')
        + `<svg x="${m}" y="${m}" width="${WIDTH - 2 * m}" height="${HEIGHT - 2 * m}"`
        + ` viewBox="0 0 ${WIDTH} ${HEIGHT}" preserveAspectRatio="none">${svg}</svg>`
    )
  }
  return whole(svg)
}

async function rasterOf(manner: Manner, svg: string, random: Random): Promise<Raster> {
  let picture = sharp(Buffer.from(svg)).flatten({ background: '#ffffff' })
  if (manner === 'soft') picture = picture.blur(2.2)
  const { data } = await picture.removeAlpha().raw().toBuffer({ resolveWithObject: true })
  const raster = createRaster(WIDTH, HEIGHT),
    grain = manner === 'textured' ? 7 : 0.6
  for (let i = 0; i < WIDTH * HEIGHT; i++) {
    const noise = grain * gaussian(random)
    for (let c = 0; c < 3; c++) raster.data[4 * i + c] = data[3 * i + c]! + noise
    raster.data[4 * i + 3] = 255
  }
  return raster
}

type Subject = 'boat' | FurtherSubject

const SUBJECTS: Record<Half, readonly Subject[]> = { tune: ['boat', 'bowl'], kept: ['house', 'head'] }

/** A boat, or a subject kept back, as a drawing and the box of what it is about in pixels. */
function drawing(subject: Subject, manner: Manner, faults: readonly Fault[], random: Random): Drawn {
  if (subject !== 'boat') return drawFurther(subject, manner, new Set(faults), random)
  const { svg, at } = body(manner, new Set(faults), random)
  return { svg, box: { x: at.x - at.size, y: at.y - 1.9 * at.size, w: 2 * at.size, h: 1.9 * at.size } }
}

interface SceneChoice {
  readonly subject: Subject
  readonly manner: Manner
  readonly faults: readonly Fault[]
  readonly seed: number
}

async function sceneOf({ subject, manner, faults, seed }: SceneChoice): Promise<Scene> {
  const random = seededRandom(seed),
    { svg, box } = drawing(subject, manner, faults, random)
  const raster = await rasterOf(manner, finished(manner, svg), random)
  // Inside a margin everything lies nearer to the middle.
  const inset = manner === 'margin' ? 44 : 0,
    fx = (x: number): number => (inset + (x * (WIDTH - 2 * inset)) / WIDTH) / WIDTH,
    fy = (y: number): number => (inset + (y * (HEIGHT - 2 * inset)) / HEIGHT) / HEIGHT
  const x = fx(box.x),
    y = fy(box.y)
  const area = { kind: 'rectangle', x, y, w: fx(box.x + box.w) - x, h: fy(box.y + box.h) - y } as const
  const known: PieceKnown = {
    ...nothingKnown('painter'),
    focus: area,
    areas: faults.includes('merges') ? [{ id: 1, name: `the ${subject}`, area }] : [],
    about: `the ${subject}`
  }
  return {
    name: `${subject} ${manner} ${faults.join('+') || 'as it should be'} ${seed}`,
    manner,
    faults,
    raster,
    known
  }
}

/**
 * Greys have no colour to be at fault; a picture all in its lights or darks has its range, and a night its black, for a
 * reason.
 */
function outsideOf(fault: Fault, manner: Manner): boolean {
  if (fault === 'black') return manner === 'low-key' || manner === 'night'
  return (
    (fault === 'equal' || fault === 'vivid' || fault === 'narrow')
    && ['greys', 'high-key', 'low-key', 'night'].includes(manner)
  )
}

/**
 * Either half: 72 scenes as they should be, 84 with one fault and 24 with two.
 */
export async function* scenes(half: Half): AsyncGenerator<Scene> {
  let n = 0
  const next = (manner: Manner, faults: readonly Fault[], seed: number): Promise<Scene> =>
    sceneOf({ subject: SUBJECTS[half][n++ % SUBJECTS[half].length]!, manner, faults, seed })
  for (const manner of MANNERS) for (let k = 0; k < 6; k++) yield next(manner, [], 100 + k)
  const kinds = Object.keys(FAULTS) as Fault[]
  for (const fault of kinds) {
    const manners = MANNERS.filter(m => !outsideOf(fault, m))
    for (let k = 0; k < 12; k++) yield next(manners[k % manners.length]!, [fault], 200 + k)
  }
  const pairs: readonly (readonly [Fault, Fault])[] = [
    ['black', 'rival'],
    ['merges', 'halved'],
    ['narrow', 'merges'],
    ['rival', 'halved']
  ]
  for (const pair of pairs)
    for (let k = 0; k < 6; k++) yield next((['flat', 'soft', 'textured'] as const)[k % 3]!, pair, 300 + k)
}
