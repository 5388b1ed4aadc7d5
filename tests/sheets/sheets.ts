/**
 * `npm run sheets [-- COUNT]`: the sheet reader on generated photographs of painted sheets (sixty by default, of twelve
 * megapixels): codes, markers, colours against the paint, verdicts against those of the sheet that was not
 * photographed, and the time it takes as a multiple of reading the pixels once.
 */
import { convertLinearToLab } from '../../core/colour/lab'
import { differenceOf } from '../../core/colour/difference'
import { linearOfHex, type Rgb } from '../../core/colour/srgb'
import { readSheets, type SheetOutcome, type SheetRead } from '../../core/exercise/reader/read'
import { SEEING } from '../../shared/printed-marks'
import { photographOf, sceneOf, type Scene } from './scenes'

const COUNT = Number(process.argv[2] ?? 60)
const SIZE = { width: 3000, height: 4000 }

const mean = (numbers: readonly number[]): number => numbers.reduce((p, q) => p + q, 0) / numbers.length
const sheetOf = (outcomes: readonly SheetOutcome[]): SheetRead | null => {
  const [first] = outcomes
  return first?.kind === 'read' ? first.sheet : null
}

function differences({ sheet, fills }: Scene, read: SheetRead): number[] {
  return sheet.boxes.flatMap(({ name, wanted }) => {
    const fill = fills.get(name)
    const box = read.boxes.find(b => b.name === name)
    if (wanted.kind === 'run' || !fill || 'from' in fill || !box) return []
    return [differenceOf(convertLinearToLab(fill as Rgb), convertLinearToLab(linearOfHex(box.measured)))]
  })
}

const worst: number[] = [],
  means: number[] = [],
  times: number[] = []
let found = 0,
  same = 0,
  boxes = 0,
  doubted = 0,
  flatDifference = 0
for (let seed = 1; seed <= COUNT; seed++) {
  const scene = await sceneOf(seed, SIZE),
    photo = await photographOf(scene)
  const start = performance.now(),
    outcomes = readSheets(photo, SEEING),
    took = performance.now() - start
  const read = sheetOf(outcomes),
    flat = sheetOf(readSheets(scene.flat, SEEING))
  if (!flat) throw new Error(`sheet ${seed} is not read as it lies there`)
  if (!read || read.code.number !== 100 + seed) {
    const [first] = outcomes
    console.log(`${seed} ${scene.sheet.code.exercise}: ${first?.kind === 'unread' ? first.reason : 'no sheet found'}`)
    continue
  }
  found++
  times.push(took)
  const off = differences(scene, read)
  flatDifference += mean(differences(scene, flat)) / COUNT
  if (off.length) {
    means.push(mean(off))
    worst.push(Math.max(...off))
  }
  boxes += read.boxes.length
  same += read.boxes.filter((b, i) => b.verdict === flat.boxes[i].verdict).length
  if (read.doubts.length) doubted++
  if (process.env.EACH)
    console.log(
      `${seed} ${scene.sheet.code.exercise} mean ${mean(off).toFixed(2)} worst box ${Math.max(...off).toFixed(2)}`
        + ` ${Math.round(took)} ms ${read.doubts.join(' ')} ${JSON.stringify(scene.shot)}`
    )
}
const middle = [...times].sort((p, q) => p - q)[times.length >> 1]
console.log(`found and read             ${found} of ${COUNT}`)
console.log(`mean ΔE00 of boxes         ${mean(means).toFixed(2)} (as it lies there ${flatDifference.toFixed(2)})`)
console.log(`worst sheet, mean of boxes ${Math.max(...means).toFixed(2)}`)
console.log(`worst box                  ${Math.max(...worst).toFixed(2)}`)
console.log(`verdict as it lies there   ${same} of ${boxes}: ${((100 * same) / boxes).toFixed(1)} %`)
console.log(`sheets with a doubt        ${doubted}`)
console.log(
  `one sheet                  ${Math.round(middle)} ms in the middle, ${Math.round(Math.max(...times))} at most`
)
