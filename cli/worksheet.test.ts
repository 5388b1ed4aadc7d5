/** `worksheet` and `sheet` as they are typed: what one prints, the other reads. */
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { filledSheet } from '../tests/sheets/filled'
import { scanned } from '../tests/sheets/scanned'
import { pdfText } from '../tests/pdf-text'
import { convertLinearToLab } from '../core/colour/lab'
import { differenceOf } from '../core/colour/difference'
import { linearOfHex } from '../core/colour/srgb'
import { run } from './testing'

let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'critica-worksheet-'))
})
afterAll(() => rm(folder, { recursive: true }))

describe('worksheet', () => {
  it('writes a document or a drawing, and says its code and where its boxes are', async () => {
    const pdf = join(folder, 'sheet.pdf'),
      svg = join(folder, 'sheet.svg')
    const { status, lines } = run('worksheet', 'ladder-5', '--out', pdf)
    expect(status).toBe(0)
    expect(lines).toMatchObject([{ file: pdf, code: 'CR1.ladder-5.p.x.u.a.0', boxes: { length: 10 } }])
    expect((lines[0]!.boxes as object[])[2]).toEqual({ name: '1.3 3', place: [52, 66.5, 16, 16], wanted: 55 })
    expect(await pdfText(await readFile(pdf))).toContain('Value ladder of five')
    const drawn = run('worksheet', 'triad', '--out', svg, '--paper', 'letter', '--wheel', 'process', '--hue=-120')
    expect(drawn.lines[0]).toMatchObject({ code: 'CR1.triad.c.240.u.l.0' })
    expect(await readFile(svg, 'utf8')).toMatch(/^<svg [^>]*width="215.9mm" height="279.4mm"/)
  }, 40_000)

  it.each([
    [['nothing', '--out', 'x.pdf'], /"nothing" is no exercise; there are two-values,/],
    [['triad'], /--out names a file that ends in .pdf or .svg/],
    [['triad', '--out', 'x.png'], /--out names a file/],
    [['triad', '--out', 'x.svg', '--hue', 'blue'], /--hue is a number of degrees/],
    [['triad', '--out', '/no/such/folder/x.svg'], /cannot be written/]
  ])(
    '%j is refused in a line',
    async (args, says) => {
      const { status, stderr, lines } = run('worksheet', ...args)
      expect([status, lines]).toEqual([2, []])
      expect(stderr).toMatch(says)
      expect(stderr.trim()).not.toContain('\n')
    },
    20_000
  )
})

it('sheet reads what was printed and painted, a line each; what is no sheet gets an error and status 1', async () => {
  const { sheet, jpeg } = await filledSheet({ exercise: 'muted', settings: { hue: 60 }, number: 31 }),
    photo = join(folder, 'photo.jpg'),
    text = join(folder, 'words.txt')
  await writeFile(photo, jpeg)
  await writeFile(text, 'no picture')
  const { status, lines } = run('sheet', photo, text, join(folder, 'missing.jpg'))
  expect(status).toBe(1)
  expect(lines).toMatchObject([
    { file: photo, code: 'CR1.muted.p.60.u.a.31', corners: { length: 4 }, boxes: { length: sheet.boxes.length } },
    { file: text, error: expect.stringContaining('cannot be opened as a picture') },
    { error: 'There is no such file.' }
  ])
  for (const box of lines[0]!.boxes as { verdict: string; deltaE: number }[]) {
    expect(['right', 'near', 'off']).toContain(box.verdict)
    expect(box.deltaE).toBeGreaterThanOrEqual(0)
  }
}, 40_000)

it('sheet reads a scan page by page, each as it reads the photograph on it', async () => {
  const { jpeg } = await filledSheet({ exercise: 'muted', settings: { hue: 60 }, number: 31 }),
    blank = await sharp({ create: { width: 1500, height: 2000, channels: 3, background: '#dddddd' } })
      .jpeg()
      .toBuffer(),
    scan = join(folder, 'scan.pdf'),
    photo = join(folder, 'page.jpg'),
    broken = join(folder, 'broken.pdf')
  await writeFile(scan, await scanned([blank, jpeg]))
  await writeFile(photo, jpeg)
  await writeFile(broken, '%PDF-1.7 and no more')
  const { status, lines } = run('sheet', scan, broken, photo)
  expect(status).toBe(1)
  const [none, page, damaged, alone] = lines as { boxes: { measured: string; verdict: string }[] }[]
  expect([none, page, damaged]).toMatchObject([
    { file: scan, page: 1, error: expect.stringContaining('No worksheet') },
    { file: scan, page: 2, code: 'CR1.muted.p.60.u.a.31' },
    { file: broken, error: 'This PDF is damaged: scan it again.' }
  ])
  const lab = (hex: string) => convertLinearToLab(linearOfHex(hex))
  const apart = page!.boxes.map((box, i) => differenceOf(lab(box.measured), lab(alone!.boxes[i]!.measured)))
  expect(Math.max(...apart)).toBeLessThan(1)
  expect(page!.boxes.map(b => b.verdict)).toEqual(alone!.boxes.map(b => b.verdict))
}, 60_000)
