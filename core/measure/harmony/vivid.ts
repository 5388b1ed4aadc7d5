/**
 * What counts as vivid. Chroma over 0.15 is; but blue-greens of sRGB end at 0.15 where a blue goes on to 0.31, so a
 * colour is vivid too when it has seven tenths of the most that its own hue can have on a screen.
 */
import { chromaOf } from '../../colour/oklab'
import { hueOf, wrapDegrees } from '../../numeric/angle'
import { painterPositionOfHue } from '../../wheel/painter'
import { processAnchorAt } from '../../wheel/process'
import type { WheelName } from '../../wheel/steps'

export const VIVID_ABOVE = 0.15
const OF_THE_MOST = 0.7
/** Full-strength colours sampled to a degree, so that every hue has one near. */
const SAMPLES = 1440

/** No hue's bound is lower: blue-greens end at about 0.15. */
export const VIVID_FROM = 0.1

/** The least chroma that is vivid in each 1° bin of a wheel. */
function boundsOf(wheel: WheelName): Float32Array {
  const bounds = new Float32Array(360).fill(VIVID_ABOVE)
  for (let i = 0; i < SAMPLES; i++) {
    const at = (i * 360) / SAMPLES,
      most = processAnchorAt(at),
      h = hueOf(most[1], most[2]),
      position = wheel === 'process' ? at : wheel === 'painter' ? painterPositionOfHue(h) : wrapDegrees(110 - h)
    const bin = Math.round(position) % 360
    bounds[bin] = Math.min(bounds[bin], OF_THE_MOST * chromaOf(most))
  }
  return bounds
}

export const VIVID_BOUNDS: Readonly<Record<WheelName, Float32Array>> = {
  painter: /* @__PURE__ */ boundsOf('painter'),
  process: /* @__PURE__ */ boundsOf('process'),
  perceptual: /* @__PURE__ */ boundsOf('perceptual')
}
