/**
 * `npm run --silent sheet -- PHOTO…`: reads filled worksheets; a line for each sheet, or for a photograph without one
 * its error. Of a scan as PDF each page is a photograph, and its lines say which.
 */
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { writeCode } from '../core/exercise/worksheet/code'
import { roundTo } from '../core/numeric/round'
import { readPhoto } from '../server/work/worksheet/photo'
import { isPdf } from '../server/work/worksheet/is-pdf'
import { pagesOfScan } from '../server/work/worksheet/scan'
import { command, readArguments } from './arguments'

/** @param file as it was named. @param page of a scan. @param photo where its pixels lie. */
async function linesOfPhoto(said: { readonly file: string; readonly page?: number }, photo: string): Promise<object[]> {
  const outcomes = await readPhoto({ file: photo, corners: null })
  if (outcomes.length === 0)
    return [{ ...said, error: 'No worksheet is found: its four corner marks must all be seen.' }]
  return outcomes.map(outcome => {
    if (outcome.kind === 'unread') return { ...said, error: outcome.reason }
    const { code, corners, boxes, doubts } = outcome.sheet
    return {
      ...said,
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
}

async function linesOfScan(file: string): Promise<object[]> {
  const folder = await mkdtemp(join(tmpdir(), 'critica-scan-'))
  try {
    const outcome = await pagesOfScan({ file, into: join(folder, 'page') })
    if (outcome.kind === 'refused') return [{ file, error: outcome.message }]
    const lines: object[] = []
    for (const [i, page] of outcome.files.entries()) lines.push(...(await linesOfPhoto({ file, page: i + 1 }, page)))
    return lines
  } finally {
    await rm(folder, { recursive: true })
  }
}

async function linesFor(file: string): Promise<object[]> {
  try {
    return await ((await isPdf(file)) ? linesOfScan(file) : linesOfPhoto({ file }, file))
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
