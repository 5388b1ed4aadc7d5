/** The commands as a person runs them: lines in order, errors on their line, exit statuses. */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { reportSchema } from '../shared/report'
import { run } from './testing'

const folder = mkdtempSync(join(tmpdir(), 'critica-cli-'))
afterAll(() => rmSync(folder, { recursive: true }))
const at = (name: string): string => join(folder, name)

const flat = (
  channels: 3 | 4,
  {
    background,
    width = 40,
    height = 30
  }: { readonly background: object; readonly width?: number; readonly height?: number }
) => sharp({ create: { width, height, channels, background } })

beforeAll(async () => {
  await flat(3, { background: { r: 227, g: 35, b: 34 } })
    .png()
    .toFile(at('red.png'))
  await flat(3, { background: { r: 119, g: 119, b: 119 } })
    .toColourspace('b-w')
    .jpeg()
    .toFile(at('grey.jpg'))
  await flat(4, { background: { r: 9, g: 9, b: 9, alpha: 0 } })
    .png()
    .toFile(at('clear.png'))
  await flat(3, { background: { r: 200, g: 100, b: 40 }, width: 1, height: 1 })
    .png()
    .toFile(at('dot.png'))
  await flat(3, { background: { r: 200, g: 100, b: 40 }, width: 1, height: 4000 })
    .webp({ lossless: true })
    .toFile(at('thread.webp'))
  await flat(3, { background: { r: 200, g: 100, b: 40 }, width: 60, height: 20 })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toFile(at('turned.jpg'))
  await flat(3, { background: { r: 200, g: 100, b: 40 } })
    .toColourspace('cmyk')
    .tiff()
    .toFile(at('cmyk.tiff'))
  await flat(3, { background: { r: 200, g: 100, b: 40 } })
    .toColourspace('rgb16')
    .png()
    .toFile(at('deep.png'))
  await flat(3, { background: { r: 200, g: 100, b: 40 } })
    .png({ palette: true })
    .toFile(at('palette.png'))
  await flat(3, { background: { r: 200, g: 100, b: 40 } })
    .gif()
    .toFile(at('still.gif'))
  const whole = await flat(3, { background: { r: 200, g: 100, b: 40 }, width: 900, height: 900 })
    .jpeg()
    .toBuffer()
  writeFileSync(at('cut.jpg'), whole.subarray(0, whole.length >> 1))
  writeFileSync(
    at('drawing.svg'),
    '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect width="9" height="9"/></svg>'
  )
  writeFileSync(
    at('areas.json'),
    JSON.stringify([
      { name: 'corner', area: [0, 0, 0.3, 0.3] },
      {
        name: 'three',
        area: [
          [0.2, 0.2],
          [0.6, 0.2],
          [0.4, 0.7]
        ]
      }
    ])
  )
})

describe('measure', () => {
  it('prints a valid report a line, in order, and errors on their line with exit status 1', () => {
    const files = [
      'red.png',
      'missing.png',
      'grey.jpg',
      'cut.jpg',
      'drawing.svg',
      'clear.png',
      'dot.png',
      'thread.webp',
      'turned.jpg',
      'cmyk.tiff',
      'deep.png',
      'palette.png',
      'still.gif'
    ].map(at)
    const { status, lines } = run('measure', ...files)
    expect(status).toBe(1)
    expect(lines.map(l => l.file)).toEqual(files)
    for (const line of lines) expect(Object.keys(line)[0]).toBe('file')
    for (const bad of [1, 3, 4]) expect(Object.keys(lines[bad])).toEqual(['file', 'error'])
    const reports = lines
      .filter(l => !('error' in l))
      .map(({ file, ...report }) => ({ file: String(file), report: reportSchema.parse(report) }))
    expect(reports).toHaveLength(10)
    const named = (name: string) => reports.find(r => r.file.endsWith(name))!.report
    expect(named('red.png')).toMatchObject({
      value: { range: 0, verdict: 'narrow', groups: { kind: 'not-measurable' } },
      harmony: { scheme: { name: 'monochrome', rotation: 120 }, palette: [{ hex: '#e32322' }] }
    })
    expect(named('grey.jpg')).toMatchObject({
      value: { median: 50 },
      harmony: { scheme: { name: 'achromatic', coverage: { kind: 'not-measurable' } } }
    })
    expect(named('clear.png')).toMatchObject({
      picture: { transparent: 1 },
      value: { kind: 'not-measurable' },
      harmony: { kind: 'not-measurable' }
    })
    expect(named('turned.jpg').picture).toMatchObject({ sourceWidth: 20, sourceHeight: 60, width: 20, height: 60 })
    expect(named('thread.webp').picture).toMatchObject({ sourceHeight: 4000, width: 1, height: 1024 })
    for (const name of ['deep.png', 'palette.png', 'still.gif', 'dot.png', 'thread.webp'])
      expect(named(name), name).toMatchObject({ value: { median: 53.5 }, harmony: { palette: [{ hex: '#c86428' }] } })
  })

  it('measures named areas, and follows the wheel asked for', () => {
    const { status, lines } = run('measure', at('red.png'), '--areas', at('areas.json'), '--wheel', 'process')
    expect(status).toBe(0)
    expect(lines[0]).toMatchObject({
      wheel: 'process',
      separation: [{ name: 'corner', deltaValue: 0, deltaE: 0, merges: true }, { name: 'three' }]
    })
  })

  it('takes a focal area and shadow pairs', () => {
    const scene = (colour: string, x: number, y: number) => ({
      input: { create: { width: 10, height: 10, channels: 3 as const, background: colour } },
      left: x,
      top: y
    })
    return sharp({ create: { width: 60, height: 40, channels: 3, background: '#777777' } })
      .composite([
        scene('#e0e0e0', 5, 5),
        scene('#707070', 5, 25),
        scene('#c08040', 25, 5),
        scene('#604020', 25, 25),
        scene('#4080c0', 45, 5),
        scene('#c02020', 45, 25)
      ])
      .png()
      .toFile(at('pairs.png'))
      .then(() => {
        const box = (x: number, y: number) => [x / 60, y / 40, 10 / 60, 10 / 40]
        writeFileSync(
          at('pairs.json'),
          JSON.stringify(
            [
              ['stone', 5],
              ['wood', 25],
              ['cloth', 45]
            ].map(([name, x]) => ({ name, lit: box(Number(x), 5), shadow: box(Number(x), 25) }))
          )
        )
        const { status, lines } = run(
          'measure',
          at('pairs.png'),
          '--focus',
          '0.08,0.1,0.17,0.27',
          '--pairs',
          at('pairs.json')
        )
        expect(status).toBe(0)
        const report = reportSchema.parse(
          Object.fromEntries(Object.entries(lines[0]).filter(([key]) => key !== 'file'))
        )
        expect(report).toMatchObject({
          focus: { share: expect.any(Number), competitors: expect.any(Array) },
          light: {
            materials: [
              { name: 'stone', leaves: false },
              { name: 'wood', leaves: false },
              { name: 'cloth', leaves: true, shadow: '#c02020' }
            ]
          }
        })
      })
  })

  it.each([
    [['--focus', '0.1,0.2,0.3'], /--focus is x,y,w,h/],
    [['--wheel', 'round'], /--wheel is painter, process or perceptual, not "round"/],
    [['--speed', '3'], /--speed/],
    [['--areas', 'nowhere.json'], /nowhere.json/]
  ])('answers %j with one line and exit status 2', (args, message) => {
    const { status, stderr, lines } = run('measure', at('red.png'), ...args)
    expect([status, lines]).toEqual([2, []])
    expect(stderr.trim().split('\n')).toHaveLength(1)
    expect(stderr).toMatch(message)
  })
})

describe('mix', () => {
  it('describes a mixture as a colour is described', () => {
    const { status, lines } = run('mix', 'f4e500:4', '2a71b0:1')
    expect(status).toBe(0)
    const [mixture] = lines as { hex: string; step: string; oklch: { h: number } }[]
    expect(mixture!.step).toBe('yellow-green')
    expect(mixture!.oklch.h).toBeGreaterThan(120)
    expect(mixture!.oklch.h).toBeLessThan(170)
    expect(run('mix', '2a71b0:3', '2a71b0:1').lines[0]!.hex).toBe('#2a71b0')
  })

  it('prints the three best recipes from a list of paints, the best first', () => {
    writeFileSync(
      at('box.gpl'),
      [
        'GIMP Palette',
        '31 42 134\tultramarine',
        '125 68 40\tburnt sienna',
        '243 227 58\tlemon',
        '248 248 245\twhite'
      ].join('\n')
    )
    const { status, lines } = run('mix', '--to', '#3d3d52', '--paints', at('box.gpl'))
    expect(status).toBe(0)
    expect(lines).toHaveLength(3)
    const offs = lines.map(l => l.deltaE as number)
    expect(offs[0]).toBeLessThan(2)
    const parts = lines[0]!.parts as { name: string; parts: number }[]
    expect(parts.map(p => p.name)).toContain('ultramarine')
    expect(parts.every(p => Number.isInteger(p.parts))).toBe(true)
    expect(lines[0]!.words).toMatch(/same|little/)
  })

  it.each([
    [['teal:2'], 'teal'],
    [['2a71b0:some'], 'parts'],
    [['2a71b0:0'], 'nothing'],
    [['--to', '#3d3d52'], '--paints'],
    [['--to', '#3d3d52', '--paints', 'nowhere.gpl'], 'nowhere.gpl'],
    [[], 'at least one']
  ] as const)('refuses %j in a line', (args, words) => {
    const { status, stderr } = run('mix', ...args)
    expect(status).toBe(2)
    expect(stderr).toContain(words)
    expect(stderr.trim().split('\n')).toHaveLength(1)
  })
})

describe('colour', () => {
  it('describes each colour on its line', () => {
    const { status, lines } = run('colour', '#2a71b0', '777777')
    expect(status).toBe(0)
    expect(lines).toMatchObject([
      { hex: '#2a71b0', step: 'blue', position: 240, kind: 'hue' },
      { hex: '#777777', position: null, step: null, complement: null, kind: 'neutral', oklch: { h: null } }
    ])
    expect(run('colour', 'teal').status).toBe(2)
  })
})
