/**
 * A plan as a page to print and to have beside one's work: what it will be, the scheme on the wheel, its colours with
 * what each is let down to, the amounts, masses to try them on, and room for tries of one's own. Millimetres.
 */
import { element } from '../../export/drawing'
import { SCHEME_WORDS } from '../../wheel/schemes'
import type { WheelName } from '../../wheel/steps'
import { TEXT, wrap } from '../worksheet/frame'
import { outlined, rectangle, textSvg, wheelSvg } from '../worksheet/svg'
import { PAPER_SIZE, type Line, type Paper, type Place } from '../worksheet/worksheet'
import { planColours, threeOf, type PlanColour } from './colours'
import { TRY, tryMasses } from './masses'
import type { Plan } from './plan'

/** @property title of the exercise. @property name whose plan it is. */
export interface PlanPage {
  readonly plan: Plan
  readonly wheel: WheelName
  readonly title: string
  readonly name: string
  readonly paper: Paper
}

const LEFT = 14,
  GAP = 5
const WHEEL = { radius: 24, block: 66, width: 84 } as const
const SWATCH = { full: 20, h: 13 } as const
const ROLES = ['leader', 'assistant', 'accent'] as const
const NOTE =
  'Printed colours come near and no nearer: mix by eye beside the wheel, and check your work in progress by photograph.'

/** Lines of text, one under the other. @returns with the baseline of the last. */
function stacked(
  text: string,
  { x, y, width, size }: Pick<Line, 'x' | 'y' | 'width' | 'size'>,
  family: Line['family']
): { drawn: string; end: number } {
  const step = size * 0.45,
    parts = wrap(text, width, size)
  return {
    drawn: parts.map((part, i) => textSvg({ x, y: y + i * step, size, text: part, family, width })).join(''),
    end: y + (parts.length - 1) * step
  }
}

const words = (text: string, x: number, y: number): string =>
  textSvg({ x, y, size: TEXT.words, text, family: 'Sans', width: 90 })

/** A colour at full strength, then let down with white, with grey and with black. */
function strip({ name, hex, tints, tones, shades }: PlanColour, y: number, width: number): string {
  const runs = [tints, tones, shades],
    each = (width - SWATCH.full - 3 * GAP) / 3
  const swatches = runs.flatMap((run, k) =>
    run.map((fill, i) => {
      const w = each / run.length
      return rectangle({ x: LEFT + SWATCH.full + GAP + k * (each + GAP) + i * w, y, w, h: SWATCH.h }, { fill })
    })
  )
  return [
    words(name, LEFT, y - 1.6),
    rectangle({ x: LEFT, y, w: SWATCH.full, h: SWATCH.h }, { fill: hex }),
    ...swatches
  ].join('')
}

function amountsBar({ amounts }: Plan, three: readonly string[], { x, y, w, h }: Place): string {
  const from = amounts.map((_, i) => amounts.slice(0, i).reduce((p, q) => p + q, 0))
  return [
    ...amounts.map((share, i) => rectangle({ x: x + w * from[i], y, w: w * share, h }, { fill: three[i] })),
    words(ROLES.map((role, i) => `${role} ${Math.round(100 * amounts[i])} %`).join(' · '), x, y + h + 4.6)
  ].join('')
}

/** Three tries with the amounts, and under them three empty ones. */
function tries({ amounts }: Plan, three: readonly string[], { y, width }: { y: number; width: number }): string {
  const w = (width - 2 * GAP) / 3,
    scale = w / TRY.w,
    h = TRY.h * scale
  return tryMasses(amounts)
    .flatMap((masses, k) => {
      const x = LEFT + k * (w + GAP)
      return [
        ...masses.map(m =>
          rectangle({ x: x + m.x * scale, y: y + m.y * scale, w: m.w * scale, h: m.h * scale }, { fill: three[m.of] })
        ),
        outlined({ x, y: y + h + 9, w, h }, { 'stroke-dasharray': '1.5 1' })
      ]
    })
    .concat(words('Your own:', LEFT, y + h + 7))
    .join('')
}

/** @returns an SVG document in millimetres. */
export function planSvg({ plan, wheel, title, name, paper }: PlanPage): string {
  const { width, height } = PAPER_SIZE[paper],
    across = width - 2 * LEFT,
    { subject, goal, scheme, hue } = plan
  const colours = planColours(wheel, scheme, hue),
    three = threeOf(wheel, scheme, hue)
  const beside = { x: LEFT + WHEEL.width, width: across - WHEEL.width }
  const head = stacked(subject, { ...beside, y: 40, size: TEXT.title }, 'Serif'),
    aim = stacked(goal, { ...beside, y: head.end + 7, size: TEXT.words + 1 }, 'Serif')
  const room = height - 34 - WHEEL.block - 2 * ((TRY.h * (across - 2 * GAP)) / 3 / TRY.w) - 38,
    each = Math.min(24, room / colours.length)
  const strips = 34 + WHEEL.block
  const drawn = [
    textSvg({ x: LEFT, y: 18, size: TEXT.title, text: `${title}: the plan`, family: 'Serif', width: across }),
    words(`${name} · ${SCHEME_WORDS[scheme]} · ${colours[0]!.name} · ${wheel} wheel`, LEFT, 24),
    wheelSvg({
      name: wheel,
      x: LEFT + WHEEL.width / 2 - 4,
      y: 62,
      radius: WHEEL.radius,
      at: colours.map(c => c.position)
    }),
    head.drawn,
    aim.drawn,
    amountsBar(plan, three, { ...beside, y: 70, w: beside.width, h: 12 }),
    ...colours.map((c, i) => strip(c, strips + 5 + i * each, across)),
    tries(plan, three, { y: strips + 6 + colours.length * each, width: across }),
    textSvg({ x: LEFT, y: height - 12, size: TEXT.label, text: NOTE, family: 'Sans', width: across })
  ]
  const page = { xmlns: 'http://www.w3.org/2000/svg', width: `${width}mm`, height: `${height}mm` }
  return element('svg', { ...page, viewBox: `0 0 ${width} ${height}` }, drawn.join(''))
}
