/**
 * A stroke-based painterly renderer, after Aaron Hertzmann, "Painterly Rendering with Curved Brush
 * Strokes of Multiple Sizes", SIGGRAPH 1998: from broad to fine, wherever the canvas still differs
 * from the scene, a bristled stroke of the scene's colour is laid along its edges. Seeded, so the
 * same scene always gives the same picture.
 */
import { gaussian, seededRandom, type Random } from '../core/numeric/random'
import { blurPlane } from '../core/picture/blur'

export interface Canvas {
  readonly width: number
  readonly height: number
  readonly data: Uint8ClampedArray
}

export interface Brushwork {
  readonly seed: number
  /** Brush widths in pixels, broad to fine. */
  readonly brushes: readonly number[]
  /** How far the canvas may stay from the scene before a stroke is laid, in bytes. */
  readonly looseness: number
  /** Spread of a stroke's colour about the scene's, in bytes. */
  readonly jitter: number
}

export const OIL: Omit<Brushwork, 'seed'> = { brushes: [46, 22, 11, 5], looseness: 13, jitter: 4 }

interface Scene {
  readonly width: number
  readonly height: number
  readonly planes: Float32Array[]
  readonly gradX: Float32Array
  readonly gradY: Float32Array
}

/** The scene blurred to a brush's scale, with the gradient of its lightness. */
function sceneAt(source: Canvas, sigma: number): Scene {
  const { width, height, data } = source
  const size = width * height,
    scratch = new Float32Array(size)
  const planes = [0, 1, 2].map(c => {
    const plane = new Float32Array(size)
    for (let i = 0; i < size; i++) plane[i] = data[i * 4 + c]
    blurPlane(plane, { width, height, sigma, scratch })
    return plane
  })
  const gradX = new Float32Array(size),
    gradY = new Float32Array(size)
  for (let y = 1; y < height - 1; y++) {
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x
      for (const plane of planes) {
        gradX[i] += plane[i + 1] - plane[i - 1]
        gradY[i] += plane[i + width] - plane[i - width]
      }
    }
  }
  return { width, height, planes, gradX, gradY }
}

/** Paints `source` and returns a new canvas; alpha is the source's own. */
export function paint(source: Canvas, { seed, brushes, looseness, jitter }: Brushwork): Canvas {
  const random = seededRandom(seed)
  const { width, height } = source
  const canvas = { width, height, data: new Uint8ClampedArray(source.data.length) }
  // A toned ground: the scene's mean, as a painter covers the white first.
  const ground = [0, 1, 2].map(c => {
    let sum = 0
    for (let i = c; i < source.data.length; i += 4) sum += source.data[i]
    return sum / (width * height)
  })
  for (let i = 0; i < width * height; i++)
    canvas.data.set([ground[0], ground[1], ground[2], source.data[i * 4 + 3]], i * 4)
  for (const brush of brushes) {
    const scene = sceneAt(source, brush / 4)
    const grid = Math.max(2, Math.round(brush * 0.55))
    const spots: [number, number][] = []
    for (let y = 0; y < height + grid; y += grid) for (let x = 0; x < width + grid; x += grid) spots.push([x, y])
    shuffle(spots, random)
    for (const [x, y] of spots)
      layStroke(canvas, scene, {
        cx: x + grid * (random() - 0.5),
        cy: y + grid * (random() - 0.5),
        brush,
        looseness: brush === brushes[0] ? 0 : looseness,
        jitter,
        random
      })
  }
  return canvas
}

function shuffle<T>(list: T[], random: Random): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1))
    ;[list[i], list[j]] = [list[j], list[i]]
  }
}

function layStroke(
  canvas: Canvas,
  scene: Scene,
  {
    cx,
    cy,
    brush,
    looseness,
    jitter,
    random
  }: {
    readonly cx: number
    readonly cy: number
    readonly brush: number
    readonly looseness: number
    readonly jitter: number
    readonly random: Random
  }
): void {
  const { width, height, planes } = scene
  const x = Math.min(width - 1, Math.max(0, Math.round(cx))),
    y = Math.min(height - 1, Math.max(0, Math.round(cy)))
  const i = y * width + x
  const off =
    Math.abs(planes[0][i] - canvas.data[i * 4])
    + Math.abs(planes[1][i] - canvas.data[i * 4 + 1])
    + Math.abs(planes[2][i] - canvas.data[i * 4 + 2])
  if (off < looseness) return
  const strength = Math.hypot(scene.gradX[i], scene.gradY[i])
  // Along the edge where there is one; otherwise near the level, with a loose wrist.
  const angle = strength > 6 ? Math.atan2(scene.gradX[i], -scene.gradY[i]) : 0.35 * gaussian(random)
  const lift = jitter * gaussian(random)
  const colour = planes.map(plane => plane[i] + lift + 0.5 * jitter * gaussian(random))
  const reach = brush * (strength > 60 ? 1.1 : 1.9) * (0.75 + 0.5 * random())
  drag(canvas, { cx: x, cy: y, angle, half: reach, radius: brush / 2, colour, seed: Math.floor(random() * 1e9) })
}

/** One stroke: bristles of differing load across it, thinning toward its end. */
function drag(
  { width, height, data }: Canvas,
  {
    cx,
    cy,
    angle,
    half,
    radius,
    colour,
    seed
  }: {
    readonly cx: number
    readonly cy: number
    readonly angle: number
    readonly half: number
    readonly radius: number
    readonly colour: number[]
    readonly seed: number
  }
): void {
  const cos = Math.cos(angle),
    sin = Math.sin(angle)
  const random = seededRandom(seed)
  const bristles = Float32Array.from({ length: Math.ceil(radius * 2) + 2 }, () => 0.55 + 0.45 * random())
  const bend = ((random() - 0.5) * 0.5) / half
  const sway = radius + Math.abs(bend) * half * half // the bend lets a stroke leave its straight band
  const wide = half * Math.abs(cos) + sway * Math.abs(sin),
    tall = half * Math.abs(sin) + sway * Math.abs(cos)
  const x0 = Math.max(0, Math.floor(cx - wide)),
    x1 = Math.min(width - 1, Math.ceil(cx + wide))
  const y0 = Math.max(0, Math.floor(cy - tall)),
    y1 = Math.min(height - 1, Math.ceil(cy + tall))
  for (let py = y0; py <= y1; py++) {
    for (let px = x0; px <= x1; px++) {
      const dx = px - cx,
        dy = py - cy
      const along = dx * cos + dy * sin
      const across = dy * cos - dx * sin + bend * along * along
      if (Math.abs(across) > radius || Math.abs(along) > half) continue
      const load = bristles[Math.floor(across + radius)]
      const end = 1 - Math.max(0, (along / half - load) / (1.05 - load))
      const edge = Math.min(1, (radius - Math.abs(across)) / Math.max(1, radius * 0.25))
      const alpha = Math.min(1, load * 1.15) * Math.min(1, edge + 0.25) * Math.max(0, end)
      const ridge = (load - 0.78) * 9
      const p = (py * width + px) * 4
      for (let c = 0; c < 3; c++) data[p + c] += (colour[c] + ridge - data[p + c]) * alpha
    }
  }
}
