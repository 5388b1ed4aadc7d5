/**
 * What draws and finds the printed marks of worksheets and strips: libraries, given to the core, which imports nothing
 * from outside itself.
 */
import aruco from 'js-aruco2/src/aruco.js'
import encodeQR from 'qr'
import decodeQR from 'qr/decode.js'
import type { Printing } from '../core/exercise/worksheet/svg'
import type { Seeing } from '../core/exercise/reader/seeing'

/**
 * 6 × 6 bits, any two at least 12 apart. S. Garrido-Jurado et al., "Generation of fiducial marker dictionaries using
 * mixed integer linear programming", Pattern Recognition 51, 2016.
 */
const DICTIONARY = 'ARUCO_MIP_36h12'
/** Of 36 bits: with five wrong ones markers are still told apart. */
const WRONG_BITS = 5
/** Milliseconds that a code is tried for. */
const DECODE_MS = 300

const dictionary = new aruco.AR.Dictionary(DICTIONARY)

export const PRINTING: Printing = {
  markerBits: id => dictionary.codeList[id]!,
  // The library draws a border of at least one module; the paper is ours.
  codeModules: text =>
    encodeQR(text, 'raw', { ecc: 'medium', border: 1 })
      .slice(1, -1)
      .map(row => row.slice(1, -1))
}

export const SEEING: Seeing = {
  markers: image => new aruco.AR.Detector({ dictionaryName: DICTIONARY, maxHammingDistance: WRONG_BITS }).detect(image),
  code: image => {
    try {
      return decodeQR(image, { timeLimit: DECODE_MS, effort: 4 })
    } catch {
      return null
    }
  }
}
