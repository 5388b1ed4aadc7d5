/** Reading filled worksheets off a photograph: found, straightened, freed of the light, each box judged. */
import { convertLinearToLab } from '../../colour/lab'
import { differenceOf } from '../../colour/difference'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import type { Raster } from '../../picture/raster'
import { createRaster } from '../../picture/raster'
import { PLAIN_SETTINGS } from '../settings'
import { readCode, type SheetCode } from '../worksheet/code'
import { worksheetOf } from '../worksheet/layout'
import { PAPERS, type Place, type Worksheet } from '../worksheet/worksheet'
import { seeBox, type SeenBox } from './boxes'
import type { Seen } from './sampling'
import type { Seeing } from './seeing'
import { findSheets, sheetAt, type FoundSheet } from './find'
import { through, type Homography, type Point } from './homography'
import { judgeBoxes, type BoxVerdict } from './judge'
import { lightOn, toneOf, type FittedTone, type Light } from './light'

export interface BoxRead extends Place {
  readonly name: string
  readonly label: string
  /** Hex. */
  readonly wanted: string
  readonly measured: string
  /** ΔE00 of both. */
  readonly deltaE: number
  readonly verdict: BoxVerdict
  /** One word to try; empty when it is right. */
  readonly word: string
  /** Why it is not to be trusted; null when it is. */
  readonly doubt: string | null
}

/** @property corners of the sheet's paper in the photograph, clockwise from its top left, pixels. */
export interface SheetRead {
  readonly code: SheetCode
  readonly corners: readonly Point[]
  readonly boxes: readonly BoxRead[]
  readonly doubts: readonly string[]
}

/** A sheet that is seen and cannot be read. */
export interface Unread {
  readonly corners: readonly Point[]
  readonly reason: string
}
export type SheetOutcome = { readonly kind: 'read'; readonly sheet: SheetRead } | ({ readonly kind: 'unread' } & Unread)

/** Of the corners of a sheet's markers, set by hand: outer corners, clockwise from the sheet's top left, pixels. */
export interface ByHand {
  readonly corners: readonly Point[]
}

const QR_PIXELS = [360, 240, 520] as const
const CLEAR = 3

/** The code's place made straight: modules are a few pixels then, whatever the photograph's size. */
function readPrintedCode({ photo, map }: Seen, place: Place, seeing: Seeing): SheetCode | null {
  const area = { x: place.x - CLEAR, y: place.y - CLEAR, w: place.w + 2 * CLEAR, h: place.h + 2 * CLEAR }
  for (const side of QR_PIXELS) {
    const straight = createRaster(side, side)
    for (let j = 0; j < side; j++)
      for (let i = 0; i < side; i++) {
        const at = through(map, { x: area.x + ((i + 0.5) / side) * area.w, y: area.y + ((j + 0.5) / side) * area.h })
        const x = Math.min(photo.width - 1, Math.max(0, Math.floor(at.x))),
          y = Math.min(photo.height - 1, Math.max(0, Math.floor(at.y)))
        const p = 4 * (y * photo.width + x)
        straight.data.set([photo.data[p], photo.data[p + 1], photo.data[p + 2], 255], 4 * (j * side + i))
      }
    const text = seeing.code(straight),
      code = text === null ? null : readCode(text)
    if (code) return code
  }
  return null
}

const paperCorners = (map: Homography, { width, height }: { width: number; height: number }): Point[] =>
  [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height }
  ].map(p => through(map, p))

/**
 * When it is to be photographed again, or doubted. Logarithms of light; millimetres; measured on generated photographs.
 */
const DOUBT = {
  shadow: 0.1,
  glare: 0.04,
  clippedPaper: 0.08,
  rough: 0.2,
  tinted: 0.22,
  blur: 0.5,
  curl: 0.8,
  pixels: 2.5,
  spread: 0.5
} as const

interface Looked {
  readonly found: FoundSheet
  readonly light: Light
  readonly tone: FittedTone
}
function doubtsOf({ found, light, tone }: Looked, sheet: Worksheet): string[] {
  const a = through(found.map, { x: sheet.width / 2 - 5, y: sheet.height / 2 }),
    b = through(found.map, { x: sheet.width / 2 + 5, y: sheet.height / 2 })
  const pixels = Math.hypot(a.x - b.x, a.y - b.y) / 10
  const said: string[] = []
  if (light.clipped > DOUBT.clippedPaper)
    said.push('The paper is overexposed: photograph it a little darker, without a flash.')
  if (light.unevenness.most > DOUBT.shadow)
    said.push('A shadow lies across the sheet: take it again where nothing throws one.')
  if (tone.tinted > DOUBT.tinted || tone.rough > DOUBT.rough)
    said.push('The printed greys are not grey, or not even: colours are less sure until the printer is calibrated.')
  if (found.blur / pixels > DOUBT.blur) said.push('The photograph is blurred: hold still, and tap the sheet to focus.')
  if (found.off / pixels > DOUBT.curl) said.push('The paper is curled: weigh its corners down.')
  if (pixels < DOUBT.pixels) said.push('The sheet is small in the photograph: come closer.')
  return said
}

function doubtOf({ clipped, spread }: SeenBox): string | null {
  if (clipped > DOUBT.glare) return 'glare'
  return spread > DOUBT.spread ? 'uneven: a shadow’s edge, or strokes' : null
}

function readFound(photo: Raster, found: FoundSheet, seeing: Seeing): SheetOutcome {
  const at: Seen = { photo, map: found.map }
  const plain = worksheetOf({ exercise: 'opposites', settings: PLAIN_SETTINGS, paper: found.paper })
  const corners = paperCorners(found.map, plain),
    unread = (reason: string): SheetOutcome => ({ kind: 'unread', corners, reason })
  const code = readPrintedCode(at, plain.codePlace, seeing)
  if (!code) return unread('The square code cannot be read: it is covered, blurred, or of another kind of sheet.')
  const sheet = worksheetOf({ ...code, settings: { ...PLAIN_SETTINGS, ...code.settings } })
  const light = lightOn(at, sheet)
  const tone = light && toneOf(at, sheet.greys, light)
  if (!light || !tone)
    return unread('The greys at the bottom of the sheet cannot be read: are they covered, or in a shadow?')
  const seen = sheet.boxes.map(box => seeBox(at, box, { light, tone: tone.tone })),
    verdicts = judgeBoxes(seen, sheet.settings)
  const boxes = seen.map((one, i): BoxRead => {
    const { name, label, wanted, x, y, w, h } = one.box,
      colour = one.colour ?? ([1, 1, 1] as const)
    return {
      name,
      label,
      x,
      y,
      w,
      h,
      wanted: wanted.hex,
      measured: hexOfLinear(colour),
      deltaE: differenceOf(convertLinearToLab(colour), convertLinearToLab(linearOfHex(wanted.hex))),
      ...verdicts[i],
      doubt: doubtOf(one)
    }
  })
  return { kind: 'read', sheet: { code, corners, boxes, doubts: doubtsOf({ found, light, tone }, sheet) } }
}

/** The four corners by hand, whichever way the photograph lies, on whichever paper. */
function readByHand(photo: Raster, { corners }: ByHand, seeing: Seeing): SheetOutcome[] {
  let outcome: SheetOutcome | null = null
  for (const paper of PAPERS)
    for (let turn = 0; turn < 4; turn++) {
      const found = sheetAt(
        paper,
        corners.map((_, i) => corners[(i + turn) % 4])
      )
      if (!found) continue
      const read = readFound(photo, found, seeing)
      if (read.kind === 'read' && read.sheet.code.paper === paper) return [read]
      outcome ??= read
    }
  return outcome ? [outcome] : []
}

/**
 * @param photo all pixels of the photograph. @param seeing finds the printed marks. @param byHand where the corners are
 * set by hand.
 * @returns every sheet that is found, left to right and top to bottom; none where no sheet's four corners are seen.
 */
export function readSheets(photo: Raster, seeing: Seeing, byHand: ByHand | null = null): SheetOutcome[] {
  if (byHand) return readByHand(photo, byHand, seeing)
  return findSheets(photo, seeing).map(found => readFound(photo, found, seeing))
}
