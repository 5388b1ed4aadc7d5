/** Five lights that work is photographed in, and how far what was made of a photograph is from the truth. */
import { differenceOf } from '../../core/colour/difference'
import { convertLinearToLab } from '../../core/colour/lab'
import { LINEAR_OF_BYTE, type Rgb } from '../../core/colour/srgb'
import { medianOf } from '../../core/numeric/median'
import type { Random } from '../../core/numeric/random'
import { reduceTo } from '../../core/picture/resample'
import type { Raster } from '../../core/picture/raster'
import { kitchenShot, type KitchenShot } from './kitchen'

type Light = Pick<KitchenShot, 'cast' | 'falloff' | 'second'>
export const LIGHTS: Readonly<Record<string, Light>> = {
  daylight: { cast: [0.97, 1, 1.04], falloff: 1.15 },
  'warm lamp': { cast: [1.35, 1, 0.55], falloff: 1.3 },
  'cool tube': { cast: [0.85, 1.05, 1.12], falloff: 1.2 },
  mixed: { cast: [1.3, 1, 0.62], falloff: 1.25, second: [0.85, 1, 1.2] },
  'window 2:1': { cast: [0.95, 1, 1.08], falloff: 2 }
}

/** A shot in one of them with nothing else in the way. */
export const kitchenLight = (
  random: Random,
  light: Light,
  size: { readonly width: number; readonly height: number } = { width: 1600, height: 1200 }
): KitchenShot => ({
  ...kitchenShot(random, size),
  hand: false,
  shadow: false,
  lost: 0,
  exposure: 0.6,
  ...light
})

/** Mean ΔE00 over the sheet, cell by cell. */
export function differenceBetween(made: Raster, truth: Raster): number {
  const cells = 24,
    [a, b] = [made, truth].map(r => reduceTo({ ...r, channels: 4 }, cells, cells))
  const light = (r: Raster, p: number): Rgb => [0, 1, 2].map(c => LINEAR_OF_BYTE[r.data[4 * p + c]!]!) as unknown as Rgb
  let sum = 0
  for (let p = 0; p < cells * cells; p++)
    sum += differenceOf(convertLinearToLab(light(a!, p)), convertLinearToLab(light(b!, p)))
  return sum / cells / cells
}

const mean = (of: readonly number[]): string => (of.reduce((p, q) => p + q, 0) / of.length).toFixed(1)

/** How far photographs were from the truth, and are once they are corrected, by what they were taken in. */
export class Corrections {
  private readonly by = new Map<string, { before: number[]; after: number[] }>()

  add(kind: string, { before, after }: { readonly before: number; readonly after: number }): void {
    const one = this.by.get(kind) ?? { before: [], after: [] }
    one.before.push(before)
    one.after.push(after)
    this.by.set(kind, one)
  }

  print(): void {
    const all = [...this.by.values()]
    for (const [name, { before, after }] of [
      ...this.by,
      ['mean ΔE00', { before: all.flatMap(f => f.before), after: all.flatMap(f => f.after) }] as const
    ])
      console.log(
        `${name.padEnd(21)} ${String(before.length).padStart(3)}: as photographed ${mean(before)},`,
        `brought right ${mean(after)} (middle ${medianOf(after).toFixed(1)}, worst ${Math.max(...after).toFixed(1)})`
      )
  }
}
