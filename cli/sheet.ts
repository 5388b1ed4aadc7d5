/**
 * `npm run --silent sheet -- PHOTO…`: reads filled worksheets; a line for each sheet, or for a photograph without one
 * its error.
 */
import { writeCode } from '../core/exercise/worksheet/code'
import { roundTo } from '../core/numeric/round'
import { readPhoto } from '../server/work/worksheet/photo'
import { command, readArguments } from './arguments'

async function linesFor(file: string): Promise<object[]> {
  try {
    const outcomes = await readPhoto({ file, corners: null })
    if (outcomes.length === 0)
      return [{ file, error: 'No worksheet is found: its four corner marks must all be seen.' }]
    return outcomes.map(outcome => {
      if (outcome.kind === 'unread') return { file, error: outcome.reason }
      const { code, corners, boxes, doubts } = outcome.sheet
      return {
        file,
        code: writeCode(code),
        corners: corners.map(({ x, y }) => [roundTo(x, 4), roundTo(y, 4)]),
        boxes: boxes.map(({ name, wanted, measured, deltaE, verdict }) => ({
          name,
          wanted,
          measured,
          deltaE: roundTo(deltaE, 2),
          verdict
        })),
        doubts: [...doubts, ...boxes.flatMap(b => (b.doubt ? [`${b.name}: ${b.doubt}`] : []))]
      }
    })
  } catch (error) {
    const { code, message } = error as NodeJS.ErrnoException
    const said =
      code === 'ENOENT' ? 'There is no such file.' : code === 'EISDIR' ? 'This is a folder, not a picture.' : null
    return [{ file, error: said ?? `It cannot be opened as a picture: ${message.split('\n')[0]}` }]
  }
}

await command(async () => {
  const { positionals } = readArguments(process.argv.slice(2), {}, 'photograph')
  let failed = false
  for (const file of positionals)
    for (const line of await linesFor(file)) {
      failed ||= 'error' in line
      process.stdout.write(`${JSON.stringify(line)}\n`)
    }
  return failed ? 1 : 0
})
