/**
 * Further subjects for the scenes: a bowl on a table to tune by, a house in a field and a head before a wall kept back,
 * of which no miss is shown by name. They were written after the measures.
 */
import type { Random } from '../../core/numeric/random'
import type { Fault, Manner } from './scenes'

export type FurtherSubject = 'bowl' | 'house' | 'head'

export interface Drawn {
  readonly svg: string
  /** What the picture is about, in pixels of the drawing. */
  readonly box: { readonly x: number; readonly y: number; readonly w: number; readonly h: number }
}

interface Colours {
  readonly back: string
  readonly ground: string
  readonly thing: string
  readonly accent: string
  readonly light: string
  readonly dark: string
}

const USUAL: Record<FurtherSubject, Colours> = {
  bowl: { back: '#8f9a86', ground: '#6d4b33', thing: '#3b6ea8', accent: '#e8862a', light: '#f6efdf', dark: '#33231a' },
  house: { back: '#b9d3e6', ground: '#6f8a3f', thing: '#f3ece0', accent: '#b8412b', light: '#fffdf6', dark: '#1f3018' },
  head: { back: '#4d5f5c', ground: '#2c3b47', thing: '#e2ab86', accent: '#a5442f', light: '#fbe9d6', dark: '#33221f' }
}

const shade = (v: number): string =>
  `#${Math.round(255 * v)
    .toString(16)
    .padStart(2, '0')
    .repeat(3)}`

function coloursOf(subject: FurtherSubject, manner: Manner, faults: ReadonlySet<Fault>): Colours {
  if (faults.has('narrow'))
    return {
      back: '#8c9088',
      ground: '#787068',
      thing: '#9a9ea4',
      accent: '#a3917f',
      light: '#aaa8a2',
      dark: '#666260'
    }
  if (faults.has('vivid'))
    return {
      back: '#00c8a0',
      ground: '#e000b0',
      thing: '#ff8c00',
      accent: '#2a20ff',
      light: '#fff200',
      dark: '#7a00d0'
    }
  if (faults.has('equal'))
    return {
      back: '#2f6fb0',
      ground: '#d9822b',
      thing: '#f6efdf',
      accent: '#d9822b',
      light: '#fffaf0',
      dark: '#101a2a'
    }
  switch (manner) {
    case 'high-key':
      return {
        back: '#f2efe9',
        ground: '#dfd8cc',
        thing: '#c9d8e2',
        accent: '#d98a4a',
        light: '#ffffff',
        dark: '#6a5a4c'
      }
    case 'low-key':
    case 'night':
      return {
        back: '#1c2536',
        ground: '#3d2b20',
        thing: '#2f4a66',
        accent: '#d07a2a',
        light: '#f4e4c4',
        dark: '#2a1d18'
      }
    case 'greys':
      return {
        back: shade(0.62),
        ground: shade(0.4),
        thing: shade(0.86),
        accent: shade(0.2),
        light: shade(0.98),
        dark: shade(0.12)
      }
    default:
      return USUAL[subject]
  }
}

const W = 640,
  H = 480
const box = (x: number, y: number, w: number, h: number, fill: string): string =>
    `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="${fill}"/>`,
  oval = (cx: number, cy: number, rx: number, ry: number, fill: string): string =>
    `<ellipse cx="${cx}" cy="${cy}" rx="${rx}" ry="${ry}" fill="${fill}"/>`

/** The thing alone with its foot at (x, y), and how far it reaches. */
const THINGS: Record<FurtherSubject, (x: number, y: number, s: number, c: Colours) => Drawn> = {
  bowl: (x, y, s, c) => ({
    svg:
      oval(x, y - 0.95 * s, 0.55 * s, 0.5 * s, c.accent)
      + oval(x + 0.5 * s, y - 0.85 * s, 0.4 * s, 0.42 * s, c.light)
      + `<path d="M${x - 1.1 * s} ${y - 0.8 * s}L${x + 1.1 * s} ${y - 0.8 * s}Q${x + 0.9 * s} ${y} ${x} ${y}`
      + `Q${x - 0.9 * s} ${y} ${x - 1.1 * s} ${y - 0.8 * s}Z" fill="${c.thing}"/>`,
    box: { x: x - 1.1 * s, y: y - 1.45 * s, w: 2.2 * s, h: 1.45 * s }
  }),
  house: (x, y, s, c) => ({
    svg:
      box(x - 0.9 * s, y - 1.1 * s, 1.8 * s, 1.1 * s, c.thing)
      + `<path d="M${x - 1.1 * s} ${y - 1.1 * s}L${x} ${y - 1.9 * s}L${x + 1.1 * s} ${y - 1.1 * s}Z"`
      + ` fill="${c.accent}"/>`
      + box(x - 0.2 * s, y - 0.6 * s, 0.4 * s, 0.6 * s, c.dark)
      + box(x + 0.4 * s, y - 0.8 * s, 0.3 * s, 0.3 * s, c.dark),
    box: { x: x - 1.1 * s, y: y - 1.9 * s, w: 2.2 * s, h: 1.9 * s }
  }),
  head: (x, y, s, c) => ({
    svg:
      `<path d="M${x - 1.3 * s} ${y}Q${x - 1.2 * s} ${y - 0.9 * s} ${x} ${y - 0.9 * s}`
      + `Q${x + 1.2 * s} ${y - 0.9 * s} ${x + 1.3 * s} ${y}Z" fill="${c.accent}"/>`
      + oval(x, y - 1.55 * s, 0.72 * s, 0.82 * s, c.dark)
      + oval(x, y - 1.4 * s, 0.55 * s, 0.7 * s, c.thing)
      + oval(x + 0.16 * s, y - 1.55 * s, 0.24 * s, 0.4 * s, c.light)
      + oval(x - 0.2 * s, y - 1.5 * s, 0.08 * s, 0.05 * s, c.dark)
      + oval(x + 0.2 * s, y - 1.5 * s, 0.08 * s, 0.05 * s, c.dark),
    box: { x: x - 1.3 * s, y: y - 2.4 * s, w: 2.6 * s, h: 2.4 * s }
  })
}

/** A scene's drawing with its planted faults. */
export function drawFurther(
  subject: FurtherSubject,
  manner: Manner,
  faults: ReadonlySet<Fault>,
  random: Random
): Drawn {
  const c = coloursOf(subject, manner, faults),
    edge = H * (faults.has('halved') ? 0.5 : 0.6 + 0.08 * random()),
    x = W * (0.35 + 0.3 * random()),
    // A division is hidden by nothing wide, and what merges stands wholly before what it merges with.
    s = faults.has('halved') ? 36 : 58 + 22 * random(),
    y = edge + (faults.has('merges') ? 0 : 0.5 * s)
  const merged = faults.has('merges') ? { ...c, thing: c.back, accent: c.back, light: c.back, dark: c.back } : c
  const thing = THINGS[subject](x, y, s, merged),
    left = x > W / 2
  const parts = [
    box(0, 0, W, H, c.back),
    box(0, edge, W, H - edge, c.ground),
    // Something of the dark and of the light elsewhere, small and soft beside the thing.
    manner === 'one-figure' || manner === 'high-key' || faults.has('halved')
      ? ''
      : oval(left ? 90 : 550, edge + 6, 70, 22, c.dark),
    box(0, H * 0.93, W, H * 0.07, c.dark),
    manner === 'crowd'
      ? Array.from({ length: 7 }, (_, i) => oval(50 + 90 * i + 10 * random(), edge - 8, 16, 14, c.ground)).join('')
      : '',
    faults.has('equal') ? box(0, H * 0.5, W, H * 0.5, c.ground) : '',
    faults.has('black') ? box(left ? W * 0.03 : W * 0.72, H * 0.6, W * 0.25, H * 0.36, '#030303') : '',
    thing.svg,
    faults.has('rival')
      ? `<circle cx="${left ? W * 0.14 : W * 0.86}" cy="${H * 0.24}" r="34" fill="#ff2a12"`
        + ` stroke="#ffffff" stroke-width="9"/>`
      : ''
  ]
  return { svg: parts.join(''), box: thing.box }
}
