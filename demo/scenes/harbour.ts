/** Scenes on the water. */
import { dashes, ellipse, fade, line, path, poly, rect, type Scene } from './svg'

/** Everything near mid grey-violet: a narrow range, and a ferry that merges with the water. */
export function ferryAtDusk(): Scene {
  const [d1, sky] = fade('#8d93a6', '#a89c9c', '#b3a193')
  const [d2, water] = fade('#8f8b8c', '#7f8390', '#727a8a')
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1280, 420, sky)}
    ${poly('0,400 0,350 180,300 330,345 520,290 760,352 980,310 1280,340 1280,420', '#8a8793')}
    ${ellipse(980, 190, 58, 58, '#c9b8a0')}${rect(0, 415, 1280, 545, water)}
    ${dashes(820, 430, 330, 260, 16, '#b7a795', 0.55)}${dashes(100, 480, 1000, 460, 26, '#868a96', 0.5)}
    ${poly('330,560 900,548 850,660 390,664', '#7d7b84')}${rect(470, 440, 290, 118, '#8d7f80')}
    ${rect(520, 380, 34, 66, '#77747c')}${rect(640, 396, 44, 50, '#957d77')}
    ${[500, 560, 620, 680].map(x => rect(x, 476, 34, 30, '#b3a58f')).join('')}
    ${dashes(340, 664, 560, 130, 14, '#747581', 0.7)}`
  return { width: 1280, height: 960, body }
}

/** One grey-green throughout, no accent. */
export function fogOuterMole(): Scene {
  const [d1, sky] = fade('#9bb9ad', '#abc5ba', '#98b9ab')
  const [d2, sea] = fade('#8bb1a1', '#719f8c', '#5b8b77')
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1360, 380, sky)}${rect(0, 380, 1360, 520, sea)}
    ${poly('0,430 620,398 760,398 760,412 0,520', '#699985')}${rect(700, 250, 40, 150, '#79a492')}${poly('692,250 748,250 738,222 702,222', '#689884')}
    ${dashes(0, 430, 1360, 440, 40, '#83ac9b', 0.45)}${poly('940,520 1180,512 1160,560 970,562', '#5a8a76')}
    ${line('M1050 515 L1054 400', '#5a8a76', 7)}${poly('1060,410 1128,500 1060,500', '#93b6a7')}`
  return { width: 1360, height: 900, body }
}

/** Blue in the middle of the wheel's cool side, neighbours, and a small orange boat: it works. */
export function slipwayStudy(): Scene {
  const [d1, sky] = fade('#9fc0d6', '#d3dfe2', '#f2ead6')
  const [d2, sea] = fade('#6b9cbb', '#2f6a92', '#173f5e')
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1280, 360, sky)}${poly('0,360 0,286 260,250 470,300 700,262 920,310 1280,270 1280,360', '#5f87a3')}
    ${rect(0, 352, 1280, 508, sea)}${dashes(0, 370, 1280, 420, 44, '#a9cbdc', 0.4)}
    ${poly('0,860 0,520 420,610 760,860', '#31485a')}${poly('0,520 420,610 430,640 0,552', '#7f97a6')}
    ${poly('0,860 0,700 330,860', '#16222d')}${line('M60 700 L560 850', '#0f1a24', 12)}
    ${path('M700 520 Q850 580 1010 512 L970 592 Q850 628 745 588 Z', '#d9792b')}${path('M700 520 Q850 580 1010 512 L1003 530 Q850 596 706 536 Z', '#f3b06a')}
    ${line('M850 560 L858 300', '#142431', 9)}${poly('868,312 985,500 868,520', '#f7f1e1')}${poly('846,330 770,500 846,520', '#dbe2e2')}
    ${dashes(720, 610, 280, 120, 10, '#c07a3a', 0.55)}`
  return { width: 1280, height: 860, body }
}

/** The race boat is what it is about; a hard white window with a red frame in the corner takes the eye. */
export function regatta(): Scene {
  const [d1, sky] = fade('#93a9b5', '#b9c3c2')
  const [d2, sea] = fade('#7f98a3', '#5c7784')
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1280, 400, sky)}${rect(0, 400, 1280, 500, sea)}${dashes(0, 420, 1280, 440, 40, '#98acb2', 0.4)}
    ${poly('300,610 640,604 600,660 350,664', '#5b6a72')}${line('M470 606 L474 330', '#55646c', 8)}${poly('482,340 600,580 482,590', '#b9c0bd')}${poly('464,360 380,580 464,590', '#a5afae')}
    ${poly('1000,900 1000,0 1280,0 1280,900', '#6d6a66')}${rect(1080, 70, 150, 190, '#d6211c')}${rect(1096, 86, 118, 158, '#0e0e10')}
    ${rect(1104, 94, 48, 66, '#ffffff')}${rect(1158, 94, 48, 66, '#ffffff')}${rect(1104, 168, 48, 66, '#ffffff')}${rect(1158, 168, 48, 66, '#ffffff')}`
  return { width: 1280, height: 900, body }
}

/** Deep blue sea and few orange buoys: the opposites exercise, done well. */
export function buoysOpposites(): Scene {
  const [d1, sky] = fade('#e8e9e6', '#aebfce', '#6f93b3')
  const [d2, sea] = fade('#4a7ba8', '#225583', '#0d2a46')
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, 1200, 300, sky)}${poly('0,300 0,230 300,200 560,250 800,190 1200,240 1200,300', '#35618a')}${rect(0, 292, 1200, 608, sea)}
    ${dashes(0, 310, 1200, 560, 50, '#7fa6c8', 0.4)}${ellipse(470, 600, 92, 88, '#e0701a')}${ellipse(446, 572, 44, 38, '#f6b06a')}${path('M388 632 Q470 700 552 632 Q530 690 470 692 Q410 690 388 632', '#7d3a10')}
    ${rect(462, 486, 18, 34, '#1c2c3c')}${ellipse(900, 430, 34, 32, '#d9691b')}${ellipse(890, 420, 14, 12, '#f3ab66')}${ellipse(790, 372, 15, 14, '#cf6a24')}
    ${dashes(400, 690, 170, 90, 9, '#c0682a', 0.6)}${poly('0,900 0,760 240,900', '#081826')}`
  return { width: 1200, height: 900, body }
}

/** Stone steps in sun: warm light, cool shadow, a red coat small in the middle. */
export function harbourSteps(): Scene {
  const [d1, sky] = fade('#a9c4cf', '#dfe6df')
  let steps = ''
  for (let i = 0; i < 9; i++) {
    const y = 420 + i * 56,
      x = 300 - i * 32
    steps += rect(x, y, 620 + i * 64, 30, i % 2 ? '#e7d2a6' : '#efdcb2') + rect(x, y + 30, 620 + i * 64, 26, '#8d8577')
  }
  const body = `<defs>${d1}</defs>${rect(0, 0, 960, 1200, sky)}${poly('0,0 300,60 300,1200 0,1200', '#3f4a59')}${poly('300,60 330,80 330,1200 300,1200', '#7e7f84')}
    ${poly('960,0 700,120 700,430 960,430', '#d8c093')}${rect(760, 200, 90, 130, '#55606c')}${steps}${poly('0,930 960,930 960,1200 0,1200', '#4d6a78')}
    ${dashes(0, 940, 960, 240, 22, '#8fb0b8', 0.5)}${path('M470 420 Q500 330 530 420 L552 560 L448 560 Z', '#b3271f')}${ellipse(500, 338, 26, 30, '#d9a784')}${path('M474 330 Q500 290 526 330 L526 322 Q500 280 474 322 Z', '#2a2422')}
    ${rect(470, 560, 22, 56, '#252a33')}${rect(508, 560, 22, 56, '#252a33')}${poly('552,560 760,640 740,660 520,612', '#6f6e72')}`
  return { width: 960, height: 1200, body }
}
