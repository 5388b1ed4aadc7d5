/** `compare` as it is typed: two files, a line. */
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { PIECES } from '../demo/manifest'
import { renderPiece } from '../demo/render'
import { run } from './testing'

let folder: string, old: string, next: string
/** Degrees the new one is turned by. */
const TURN = 4
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'critica-compare-'))
  old = join(folder, 'old.png')
  next = join(folder, 'new.jpg')
  const picture = await renderPiece(PIECES.find(p => p.key === 'regatta')!)
  await writeFile(old, picture)
  // Half a stop more light, on the encoded scale.
  await sharp(picture)
    .rotate(TURN, { background: '#777777' })
    .linear(2 ** (0.5 / 2.2), 0)
    .jpeg({ quality: 82 })
    .toFile(next)
}, 60_000)
afterAll(() => rm(folder, { recursive: true }))

it('says that it is the same picture, where it lies, how much lighter it is, and what became of targets', async () => {
  const targets = join(folder, 'targets.json')
  await writeFile(
    targets,
    JSON.stringify([
      { target: { measure: 'separation', atLeast: 60 }, area: [0.25, 0.35, 0.3, 0.35] },
      { target: { measure: 'range', atLeast: 5 } }
    ])
  )
  const { status, lines } = run('compare', old, next, '--targets', targets)
  expect(status).toBe(0)
  expect(lines).toMatchObject([
    {
      old,
      new: next,
      match: 'sure',
      moved: expect.any(Array),
      targets: [
        { measure: 'separation', landing: 'unchanged' },
        { measure: 'range', landing: 'reached' }
      ]
    }
  ])
  const { corners, exposure } = lines[0] as { corners: [number, number][]; exposure: number }
  expect(Math.abs(exposure - 0.5)).toBeLessThan(0.1)
  // The turned picture's frame is as large as its turned corners need: w cos + h sin by w sin + h cos.
  const { width, height } = await sharp(old).metadata(),
    turn = (TURN * Math.PI) / 180,
    wide = width * Math.cos(turn) + height * Math.sin(turn),
    high = width * Math.sin(turn) + height * Math.cos(turn)
  const truth = [
    [height * Math.sin(turn), 0],
    [wide, width * Math.sin(turn)],
    [width * Math.cos(turn), high],
    [0, height * Math.cos(turn)]
  ]
  corners.forEach(([x, y], i) => {
    expect(Math.abs(x - truth[i]![0]! / wide)).toBeLessThan(0.004)
    expect(Math.abs(y - truth[i]![1]! / high)).toBeLessThan(0.004)
  })
}, 60_000)

it('says when it is another picture, and gives no corners', async () => {
  const other = join(folder, 'other.png')
  await writeFile(other, await renderPiece(PIECES.find(p => p.key === 'lemons')!))
  expect(run('compare', old, other).lines).toMatchObject([
    { match: 'another', corners: null, exposure: null, moved: [] }
  ])
}, 60_000)

it.each([
  [[], 2, /name at least one picture file/],
  [['one.png'], 2, /the old version, then the new one/],
  [['one.png', 'two.png', '--targets', '/no/such.json'], 2, /--targets \/no\/such.json/]
])('%j is refused in a line', (args, status, says) => {
  const { stderr, ...rest } = run('compare', ...(args as string[]))
  expect([rest.status, rest.lines]).toEqual([status, []])
  expect(stderr).toMatch(says)
  expect(stderr.trim()).not.toContain('\n')
})

it('a file that is missing gets its error on the line', () => {
  const { status, lines } = run('compare', old, join(folder, 'missing.png'))
  expect([status, lines]).toMatchObject([1, [{ error: expect.stringContaining('There is no such file.') }]])
})
