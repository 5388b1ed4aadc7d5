/** Reading filled worksheets off a photograph: found, straightened, freed of the light, each box judged. */
import { convertLinearToLab } from '../../colour/lab'
import { differenceOf } from '../../colour/difference'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import type { Raster } from '../../picture/raster'
import { PLAIN_SETTINGS } from '../settings'
import { readCode, type SheetCode } from '../worksheet/code'
import { sheetFrame } from '../worksheet/frame'
import { worksheetOf } from '../worksheet/layout'
import type { PrinterGreys } from '../worksheet/printer-sheet'
import { PAPER_SIZE, PAPERS, type Place, type Worksheet } from '../worksheet/worksheet'
import { seeBox } from './boxes'
import type { Seen } from './sampling'
import type { Seeing } from './seeing'
import { findSheets, sheetAt, type FoundSheet } from './find'
import { through, type Homography, type Point } from '../../numeric/homography'
import { doubtOf, doubtsOf } from './doubts'
import { judgeBoxes, type BoxVerdict } from './judge'
import { lightOn, toneOf, type KnownGrey } from './light'
import { readPrintedCode } from './printed-code'

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

const paperCorners = (map: Homography, { width, height }: { width: number; height: number }): Point[] =>
  [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height }
  ].map(p => through(map, p))

/** @property printers greys of those printers that are known, by their number. */
interface Knowing {
  readonly seeing: Seeing
  readonly printers: Readonly<Record<number, PrinterGreys>>
}

/** As they came from a printer that is known, or as they are to be. */
const greysOf = ({ greys, code: { printer } }: Worksheet, printers: Knowing['printers']): KnownGrey[] =>
  greys.map((grey, i) => ({ ...grey, wanted: printers[printer]?.[i] ?? [grey.linear, grey.linear, grey.linear] }))

function readFound(photo: Raster, found: FoundSheet, { seeing, printers }: Knowing): SheetOutcome {
  const at: Seen = { photo, map: found.map }
  const corners = paperCorners(found.map, PAPER_SIZE[found.paper]),
    unread = (reason: string): SheetOutcome => ({ kind: 'unread', corners, reason })
  const code = readPrintedCode(at, sheetFrame(found.paper).codePlace, { seeing, parse: readCode })
  if (!code) return unread('The square code cannot be read: it is covered, blurred, or of another kind of sheet.')
  const sheet = worksheetOf({ ...code, settings: { ...PLAIN_SETTINGS, ...code.settings } })
  const light = lightOn(at, sheet)
  const tone = light && toneOf(at, greysOf(sheet, printers), light)
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
function readByHand(photo: Raster, { corners }: ByHand, knowing: Knowing): SheetOutcome[] {
  let outcome: SheetOutcome | null = null
  for (const paper of PAPERS)
    for (let turn = 0; turn < 4; turn++) {
      const found = sheetAt(
        paper,
        corners.map((_, i) => corners[(i + turn) % 4])
      )
      if (!found) continue
      const read = readFound(photo, found, knowing)
      if (read.kind === 'read' && read.sheet.code.paper === paper) return [read]
      outcome ??= read
    }
  return outcome ? [outcome] : []
}

/** @property byHand where the corners are set by hand. @property printers greys of printers that are known. */
export interface ReadOptions {
  readonly byHand?: ByHand | null
  readonly printers?: Knowing['printers']
}

/**
 * @param photo all pixels of the photograph. @param seeing finds the printed marks.
 * @returns every sheet that is found, left to right and top to bottom; none where no sheet's four corners are seen.
 */
export function readSheets(
  photo: Raster,
  seeing: Seeing,
  { byHand = null, printers = {} }: ReadOptions = {}
): SheetOutcome[] {
  if (byHand) return readByHand(photo, byHand, { seeing, printers })
  return findSheets(photo, seeing).map(found => readFound(photo, found, { seeing, printers }))
}
