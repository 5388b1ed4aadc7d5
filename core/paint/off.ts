/** What a mixture is short of, in words: "a little too warm". */
import { differenceOf } from '../colour/difference'
import { convertLinearToLab } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import type { Rgb } from '../colour/srgb'
import { temperatureOf } from '../colour/temperature'

/** ΔE00 that side by side hardly anybody sees on paper; that is little; that is much. */
const SAME = 1.2,
  LITTLE = 4,
  MUCH = 9
/** Chroma, CIELAB, under which a hue is hardly one. */
const GREY = 6

/** @param wanted and @param made linear. */
export function offInWords(wanted: Rgb, made: Rgb): string {
  const [p, q] = [wanted, made].map(convertLinearToLab),
    off = differenceOf(p, q)
  if (off < SAME) return 'as good as the same'
  const [lighter, stronger, shift] = [q[0] - p[0], Math.hypot(q[1], q[2]) - Math.hypot(p[1], p[2]), turned(p, q)]
  // Of what differs the greatest is said: it is what is mended first.
  const most = Math.max(Math.abs(lighter), Math.abs(stronger), Math.abs(shift))
  const what =
    most === Math.abs(lighter)
      ? lighter > 0
        ? 'light'
        : 'dark'
      : most === Math.abs(stronger)
        ? stronger > 0
          ? 'strong'
          : 'grey'
        : temperatureOf(convertLinearToOklab(made)) > temperatureOf(convertLinearToOklab(wanted))
          ? 'warm'
          : 'cool'
  return `${off < LITTLE ? 'a little too' : off < MUCH ? 'too' : 'much too'} ${what}`
}

/** How far the hue is turned, as a distance in CIELAB. */
function turned([, a1, b1]: readonly number[], [, a2, b2]: readonly number[]): number {
  const c1 = Math.hypot(a1, b1),
    c2 = Math.hypot(a2, b2)
  if (Math.min(c1, c2) < GREY) return 0
  const angle = Math.atan2(b2, a2) - Math.atan2(b1, a1)
  return 2 * Math.sqrt(c1 * c2) * Math.sin(angle / 2)
}
