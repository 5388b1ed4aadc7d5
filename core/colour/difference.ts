/**
 * CIEDE2000. Gaurav Sharma, Wencheng Wu, Edul N. Dalal, "The CIEDE2000 Color-Difference Formula:
 * Implementation Notes, Supplementary Test Data, and Mathematical Observations", Color Research
 * and Application 30(1), 2005.
 */
import { hueOf } from '../numeric/angle'
import type { Lab } from './lab'

const POW25_7 = 25 ** 7
const RAD = Math.PI / 180

/** Colour difference ΔE00 of two CIELAB colours, with kL = kC = kH = 1. */
export function differenceOf([L1, a1, b1]: Lab, [L2, a2, b2]: Lab): number {
  // Compensates a* for neutral colours, where CIELAB is stretched along it.
  const cMean = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2
  const c7 = cMean ** 7
  const G = 0.5 * (1 - Math.sqrt(c7 / (c7 + POW25_7)))
  const a1p = (1 + G) * a1,
    a2p = (1 + G) * a2
  const C1 = Math.hypot(a1p, b1),
    C2 = Math.hypot(a2p, b2)
  const h1 = C1 === 0 ? 0 : hueOf(a1p, b1),
    h2 = C2 === 0 ? 0 : hueOf(a2p, b2)

  const dL = L2 - L1,
    dC = C2 - C1
  let dh = 0
  let hMean = h1 + h2 // a colour without chroma has no hue: the other's stands alone
  if (C1 * C2 !== 0) {
    dh = h2 - h1
    if (dh > 180) dh -= 360
    else if (dh < -180) dh += 360
    hMean = Math.abs(h1 - h2) <= 180 ? (h1 + h2) / 2 : h1 + h2 < 360 ? (h1 + h2 + 360) / 2 : (h1 + h2 - 360) / 2
  }
  const dH = 2 * Math.sqrt(C1 * C2) * Math.sin((dh / 2) * RAD)

  const Lm = (L1 + L2) / 2,
    Cm = (C1 + C2) / 2
  const T =
    1
    - 0.17 * Math.cos((hMean - 30) * RAD)
    + 0.24 * Math.cos(2 * hMean * RAD)
    + 0.32 * Math.cos((3 * hMean + 6) * RAD)
    - 0.2 * Math.cos((4 * hMean - 63) * RAD)
  const SL = 1 + (0.015 * (Lm - 50) ** 2) / Math.sqrt(20 + (Lm - 50) ** 2)
  const SC = 1 + 0.045 * Cm
  const SH = 1 + 0.015 * Cm * T
  // The rotation term: chroma and hue differences interact in the blue region.
  const Cm7 = Cm ** 7
  const RT = -2 * Math.sqrt(Cm7 / (Cm7 + POW25_7)) * Math.sin(60 * Math.exp(-(((hMean - 275) / 25) ** 2)) * RAD)
  const l = dL / SL,
    c = dC / SC,
    h = dH / SH
  return Math.sqrt(l * l + c * c + h * h + RT * c * h)
}
