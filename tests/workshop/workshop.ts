/**
 * `npm run workshop`: recipes to hidden mixtures of 24 paints, how near and how fast; opposites; simulated observers of
 * every drill, also of those whose eyes are steeper or flatter than is reckoned with; masses carried along.
 */
import { fitToGamut } from '../../core/colour/gamut'
import { chromaOf, convertLinearToOklab, convertOklabToOklch, oklabOf } from '../../core/colour/oklab'
import { linearOfHex } from '../../core/colour/srgb'
import { DRILL_NAMES, drillOf } from '../../core/drill/drills'
import { nextDifference, SLIPS, SLOPE, thresholdOf, type Answered } from '../../core/drill/staircase'
import { drawMasses, inScheme, VARIANTS } from '../../core/masses/colours'
import { gaussian, seededRandom } from '../../core/numeric/random'
import { mixedColour, paintOf, whitePaint } from '../../core/paint/mixing'
import { recipesFor } from '../../core/paint/recipes'
import { PAINTER_ANCHORS } from '../../core/wheel/painter'

const white = whitePaint(linearOfHex('#f8f8f5'))

function recipes(count: number): void {
  const random = seededRandom(21),
    paints = Array.from({ length: 24 }, (_, i) => {
      const l = 0.35 + 0.4 * random(),
        c = i % 3 === 0 ? 0.06 : 0.16
      return paintOf(fitToGamut(oklabOf(l, c, 15 * i)), fitToGamut(oklabOf(0.78 + 0.2 * l, 0.35 * c, 15 * i)), white)
    })
  const offs: number[] = [],
    times: number[] = []
  for (let n = 0; n < count; n++) {
    const chosen = new Set(Array.from({ length: 1 + (n % 3) }, () => Math.floor(24 * random())))
    const wanted = mixedColour([
      ...[...chosen].map(i => ({ paint: paints[i]!, amount: 0.5 + 6 * random() })),
      { paint: white, amount: 6 * random() }
    ])
    const start = performance.now()
    offs.push(recipesFor(wanted, { paints, white })[0]!.off)
    times.push(performance.now() - start)
  }
  const at = (all: number[], share: number): number => [...all].sort((p, q) => p - q)[Math.floor(share * (count - 1))]!
  console.log(
    `recipes            ${offs.filter(o => o <= 2).length} of ${count} within ΔE00 2,`,
    `${at(offs, 0.5).toFixed(2)} in the middle, ${at(offs, 0.97).toFixed(2)} at 97 of 100;`,
    `${Math.round(at(times, 0.5))} ms in the middle, ${Math.round(at(times, 0.97))} ms at 97 of 100`
  )
}

function opposites(): void {
  const of = (hex: string) => paintOf(linearOfHex(hex), null, white)
  const best = (p: string, q: string): number =>
    Math.min(
      ...Array.from({ length: 121 }, (_, k) =>
        chromaOf(
          convertLinearToOklab(
            mixedColour([
              { paint: of(p), amount: 10 ** ((k - 60) / 15) },
              { paint: of(q), amount: 1 }
            ])
          )
        )
      )
    )
  const chromas = [0, 1, 2, 3, 4, 5].map(i => best(PAINTER_ANCHORS[i]!, PAINTER_ANCHORS[i + 6]!).toFixed(3))
  console.log(`opposites at best  ${chromas.join(' ')}`)
  const [yellow, blue] = [of('#f4e500'), of('#2a71b0')]
  const hues = [1, 2, 4].map(n => {
    const { h } = convertOklabToOklch(
      convertLinearToOklab(
        mixedColour([
          { paint: yellow, amount: n },
          { paint: blue, amount: 1 }
        ])
      )
    )
    return Math.round(h!)
  })
  console.log(`yellow and blue    ${hues.join('°, ')}° at 1, 2 and 4 of yellow to one of blue`)
}

/** @param slope of the observers' own eyes. */
function observers(count: number, slope: number): void {
  for (const name of DRILL_NAMES) {
    const { asked, questions } = drillOf(name),
      random = seededRandom(5)
    let bias = 0,
      held = 0
    for (let n = 0; n < count; n++) {
      const spread = Math.max(-0.48, Math.min(0.48, 0.3 * gaussian(random))),
        threshold = Math.min(asked.most / 2, Math.max(2 * asked.least, asked.usual * 10 ** spread)),
        answers: Answered[] = []
      while (answers.length < questions) {
        const difference = nextDifference(asked, answers),
          chance = asked.guess + (1 - asked.guess - SLIPS) * (1 - Math.exp(-((difference / threshold) ** slope)))
        answers.push({ difference, right: random() < chance })
      }
      const found = thresholdOf(asked, answers)
      bias += found.threshold / threshold - 1
      if (found.low <= threshold && threshold <= found.high) held++
    }
    console.log(
      `${name.padEnd(9)} slope ${slope}  off by ${((100 * bias) / count).toFixed(1)} % in the mean,`,
      `interval holds ${((100 * held) / count).toFixed(1)} of 100`
    )
  }
}

function preview(): void {
  const masses = [0.2, 0.55, 0.25].map((share, i) => ({ value: [18, 47, 83][i]!, share })),
    labels = Uint8Array.from({ length: 900 * 600 }, (_, i) => i % 3),
    into = new Uint32Array(labels.length)
  const times = Array.from({ length: 120 }, (_, i) => {
    const start = performance.now()
    for (let v = 0; v < VARIANTS; v++)
      drawMasses(labels, inScheme(masses, { wheel: 'painter', scheme: 'triad', hue: 3 * i }, v), into)
    return performance.now() - start
  }).sort((p, q) => p - q)
  console.log(
    `preview            ${times[60]!.toFixed(1)} ms a frame of three variants, ${times[118]!.toFixed(1)} ms at worst`
  )
}

recipes(200)
opposites()
for (const slope of [SLOPE, 2, 6]) observers(1000, slope)
preview()
