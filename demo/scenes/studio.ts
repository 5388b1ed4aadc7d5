/** Scenes indoors and on the market. */
import { dashes, ellipse, fade, line, path, poly, rect, type Scene } from './svg'

/** Yellow against its violet, yellow in small amounts, a full range: it works. */
export function lemonsAndJug(): Scene {
  const [d1, wall] = fade('#4b3a66', '#6a5688', '#8a79a3')
  const [d2, cloth] = fade('#b9adc9', '#8c7da6')
  const lemon = (x: number, y: number, s: number): string =>
    ellipse(x, y, 70 * s, 52 * s, '#e6c913')
    + ellipse(x - 18 * s, y - 16 * s, 34 * s, 20 * s, '#fbee8a')
    + path(
      `M${x - 62 * s} ${y + 14 * s} Q${x} ${y + 70 * s} ${x + 62 * s} ${y + 14 * s} Q${x + 40 * s} ${y + 50 * s} ${x} ${y + 51 * s} Q${x - 40 * s} ${y + 50 * s} ${x - 62 * s} ${y + 14 * s}`,
      '#8a7318'
    )
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1200, 560, wall)}${rect(0, 540, 1200, 400, cloth)}${poly('0,540 1200,540 1200,566 0,572', '#2b2040')}
    ${path('M330 250 Q450 220 560 250 L590 620 Q450 670 310 620 Z', '#f4f1f6')}${path('M470 240 Q520 240 560 250 L590 620 Q540 645 480 650 Z', '#a79bb8')}${ellipse(446, 250, 114, 22, '#241a36')}
    ${line('M584 320 Q700 330 680 440 Q660 510 596 510', '#6f6091', 22)}${poly('330,640 640,650 860,700 420,720', '#4a3c66')}
    ${lemon(790, 610, 1.5)}${lemon(950, 690, 1.35)}${lemon(190, 720, 1.3)}${poly('700,700 1010,735 1020,760 760,760', '#3c2f56')}`
  return { width: 1200, height: 940, body }
}

/** Flat black fills the loft. */
export function netLoft(): Scene {
  const [d1, floor] = fade('#6e5a44', '#4b3b2e')
  const body = `<defs>${d1}</defs>${rect(0, 0, 900, 1150, '#000000')}${poly('0,800 900,760 900,1150 0,1150', floor)}${poly('560,120 800,90 800,520 560,520', '#e9d9a8')}
    ${line('M680 105 L680 520', '#0a0a0a', 14)}${line('M560 310 L800 300', '#0a0a0a', 14)}${path('M60 240 Q200 520 330 900 L60 980 Z', '#54603f')}${path('M150 220 Q250 560 350 890 L220 930 Z', '#6d7a52')}
    ${[0, 1, 2, 3, 4, 5].map(i => line(`M${70 + i * 46} ${250 + i * 30} L${120 + i * 40} 950`, '#2f3526', 4)).join('')}${poly('520,830 840,800 860,900 540,940', '#a3563a')}${poly('520,830 840,800 830,780 530,806', '#c98a5e')}
    ${poly('560,520 800,520 700,840 380,860', '#7d6746')}`
  return { width: 900, height: 1150, body }
}

/** A head against a ground of its own value and colour. */
export function selfEvening(): Scene {
  const [d1, wall] = fade('#7d5a4a', '#8c6650')
  const body = `<defs>${d1}</defs>${rect(0, 0, 820, 1080, wall)}${rect(560, 90, 190, 330, '#2c3440')}${rect(572, 102, 166, 306, '#49586a')}
    ${path('M120 1080 Q150 800 410 780 Q680 800 710 1080 Z', '#26303c')}${path('M340 700 L480 700 L500 830 Q410 880 320 830 Z', '#7e5c4c')}
    ${path('M280 480 Q280 300 410 296 Q545 300 540 490 Q536 690 410 740 Q290 690 280 480', '#8f6852')}${path('M410 296 Q545 300 540 490 Q536 690 410 740 Q500 600 470 470 Q450 360 410 296', '#835f4d')}
    ${path('M270 470 Q270 260 412 256 Q560 262 552 480 Q530 350 412 340 Q300 344 270 470', '#74533f')}${ellipse(360, 500, 24, 10, '#4a342a')}${ellipse(468, 500, 24, 10, '#4a342a')}
    ${path('M405 520 L392 600 L428 602 Z', '#7a5645')}${path('M368 656 Q412 676 456 654 Q412 690 368 656', '#7b463c')}`
  return { width: 820, height: 1080, body }
}

/** Every stall at full strength in equal amounts: nothing leads. */
export function marketBoards(): Scene {
  const colours = ['#e32322', '#f4d500', '#1f6fc4', '#0b9a4f', '#f18a1c', '#7a2ea0']
  let stalls = ''
  colours.forEach((colour, i) => {
    const x = (i % 3) * 440,
      y = Math.floor(i / 3) * 440
    const other = colours[(i + 3) % 6]
    stalls +=
      rect(x, y, 440, 440, colour)
      + poly(`${x + 60},${y + 150} ${x + 380},${y + 130} ${x + 350},${y + 230} ${x + 90},${y + 240}`, other)
      + rect(x + 90, y + 240, 250, 130, colours[(i + 2) % 6])
      + ellipse(x + 160, y + 300, 40, 34, colours[(i + 4) % 6])
      + ellipse(x + 260, y + 306, 40, 34, colours[(i + 1) % 6])
  })
  return { width: 1320, height: 880, body: stalls }
}

/** Five pots under one warm window light with blue shadows; the fourth pot's shadow is red. */
export function fivePots(): Scene {
  const [d1, wall] = fade('#cdbfa6', '#b7a98f')
  const light: [number, number, number] = [0.28, 0.33, 0.46] // shadow ÷ lit, linear light
  const pots = ['#c96f4a', '#e2c9a0', '#7fa08a', '#d8b23c', '#9fb4c8']
  const body = `<defs>${d1}</defs>${rect(0, 0, 1360, 560, wall)}${rect(0, 540, 1360, 300, '#a08c6e')}${pots.map((lit, i) => pot(140 + i * 268, 560, { lit, dark: i === 3 ? shade(lit, [0.5, 0.1, 0.09]) : shade(lit, light), cast: shade('#a08c6e', light) })).join('')}`
  return { width: 1360, height: 840, body }
}

/** A colour with its light multiplied, channel by channel, in linear light. */
export function shade(hex: string, ratio: readonly number[]): string {
  return (
    '#'
    + [1, 3, 5]
      .map((at, c) => {
        const linear = (Number.parseInt(hex.slice(at, at + 2), 16) / 255) ** 2.2 * ratio[c]
        return Math.round(255 * linear ** (1 / 2.2))
          .toString(16)
          .padStart(2, '0')
      })
      .join('')
  )
}

function pot(
  x: number,
  foot: number,
  { lit, dark, cast }: { readonly lit: string; readonly dark: string; readonly cast: string }
): string {
  return (
    poly(`${x - 10},${foot + 90} ${x + 90},${foot + 60} ${x + 215},${foot + 116} ${x + 90},${foot + 134}`, cast)
    + path(
      `M${x - 70} ${foot - 190} L${x + 70} ${foot - 190} L${x + 104} ${foot} Q${x + 70} ${foot + 110} ${x} ${foot + 112} Q${x - 70} ${foot + 110} ${x - 104} ${foot} Z`,
      lit
    )
    + path(
      `M${x + 8} ${foot - 190} L${x + 70} ${foot - 190} L${x + 104} ${foot} Q${x + 70} ${foot + 110} ${x + 8} ${foot + 112} Z`,
      dark
    )
    + ellipse(x, foot - 190, 70, 16, '#3a3128')
  )
}

/** A gull on nothing: the file's ground is transparent. */
export function gullCutOut(): Scene {
  const body = `${path('M240 560 Q330 380 560 400 Q720 410 830 520 Q900 590 980 600 Q860 680 700 690 Q420 720 240 560', '#e9e7e2')}
    ${path('M420 470 Q620 400 800 520 Q900 590 1010 612 Q820 640 640 600 Q500 560 420 470', '#8f98a3')}${path('M820 540 Q930 570 1030 640 Q930 640 850 600 Z', '#22262c')}
    ${path('M240 560 Q190 470 250 390 Q330 330 400 400 Q430 450 400 500 Z', '#f6f4ef')}${path('M250 400 Q190 405 140 440 Q200 450 246 446 Z', '#e3a21f')}${ellipse(300, 400, 12, 12, '#1c1f24')}
    ${line('M520 690 L500 840', '#d98a3a', 12)}${line('M620 690 L630 840', '#d98a3a', 12)}${line('M460 850 L540 840', '#d98a3a', 12)}${line('M590 850 L670 840', '#d98a3a', 12)}${dashes(470, 620, 300, 40, 5, '#b9bcc0', 0.7)}`
  return { width: 1120, height: 940, body }
}
