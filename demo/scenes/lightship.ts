/** A lightship at its buoy: as it was handed in first, and repaired after a critique. */
import { dashes, ellipse, fade, line, poly, rect, type Scene } from './svg'

/**
 * At first it is as light as the fog around it, everything within a few steps, and a pink pennant belongs to nothing.
 * @param repaired the ship is dark and mirrored in the water under it; the pennant is pink still.
 */
export function lightship(repaired: boolean): Scene {
  const [d1, sky] = fade('#9a9cab', '#aea7a6', '#b4a99c')
  const [d2, sea] = fade('#8c929c', '#818a98', '#757f90')
  const hull = repaired ? '#3a3438' : '#8d8288',
    house = repaired ? '#574a4c' : '#968a8c',
    mast = '#7d7278',
    lamp = repaired ? '#ffe9b4' : '#c2b79f'
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1280, 470, sky)}
    ${poly('0,470 0,420 240,398 420,440 700,424 930,452 1280,430 1280,470', '#989aa6')}
    ${rect(0, 464, 1280, 496, sea)}${dashes(0, 490, 1280, 440, 42, '#8f95a0', 0.5)}
    ${poly('380,560 940,548 880,662 440,668', hull)}${rect(520, 470, 250, 88, house)}${rect(560, 490, 40, 34, lamp)}${rect(650, 490, 40, 34, lamp)}
    ${line('M640 470 L640 210', mast, 16)}${ellipse(640, 206, 40, 46, lamp)}${rect(606, 246, 68, 16, mast)}
    ${line('M860 556 L868 330', mast, 8)}${poly('870,334 990,358 870,386', '#d98aa2')}
    ${dashes(420, 672, 500, 150, 16, repaired ? '#343648' : '#7c8392', 0.7)}
    ${poly('1090,620 1150,620 1140,690 1100,690', '#a05a40')}${line('M1120 620 L1120 560', '#7c4a3a', 6)}`
  return { width: 1280, height: 960, body }
}
