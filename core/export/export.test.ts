import { readFileSync } from 'node:fs'
import jsonld from 'jsonld'
import { describe, expect, it } from 'vitest'
import { annotationFileSchema, correctionFrom } from '../../shared/pieces/annotation'
import { areaOfMark } from '../critique/mark'
import { cornersOf } from '../picture/area'
import { annotationPage, type AnnotatedCorrection } from './annotations'
import { gimpPalette } from './palette'

it("writes a palette as GIMP's own loader reads it: magic line, name, three numbers and a name a row", () => {
  const file = gimpPalette('Ferry\nat dusk', [
    { hex: '#2a71b0', share: 0.62, step: 'blue', kind: 'hue', value: 46, temperature: -40 },
    { hex: '#0a0a0a', share: 0.05, step: null, kind: 'neutral', value: 2, temperature: 0 }
  ])
  const lines = file.split('\n')
  expect(lines.slice(0, 4)).toEqual(['GIMP Palette', 'Name: Ferry at dusk', 'Columns: 2', '#'])
  expect(lines[4]).toMatch(/^ 42 113 176\tblue hue, 62 %$/)
  expect(lines[5]).toBe(' 10  10  10\tneutral, 5 %')
  for (const row of lines.slice(4, -1)) expect(row).toMatch(/^[ \d]{3} [ \d]{3} [ \d]{3}\t\S/)
})

describe('corrections as annotations', () => {
  const source = {
    picture: 'http://127.0.0.1/p',
    title: 'Ferry',
    width: 1000,
    height: 500,
    creator: 'Tamsin Vane',
    created: '2026-11-25T00:00:00.000Z'
  }
  const plain = {
    station: 'values',
    mark: null,
    readingId: null,
    reading: null,
    reason: '',
    todo: '',
    target: null,
    targetWords: null,
    trial: null,
    foreign: null,
    area: null
  } as const
  const corrections: AnnotatedCorrection[] = [
    {
      ...plain,
      id: 7,
      tag: 'V1',
      area: { kind: 'rectangle', x: 0.25, y: 0.1, w: 0.5, h: 0.25 },
      what: 'Merges',
      reason: '2 apart',
      todo: 'Lower it',
      readingId: 'value.separation',
      reading: { id: 'value.separation', verdict: 'fix', sentence: 'The ferry merges with its surroundings.' },
      target: { measure: 'separation', atLeast: 15 },
      targetWords: '15 steps'
    },
    {
      ...plain,
      id: 8,
      station: 'harmony',
      tag: 'H2',
      area: {
        kind: 'polygon',
        points: [
          [0, 0],
          [0.5, 0],
          [0.25, 1]
        ]
      },
      what: 'Loud',
      trial: { outside: false, feather: 0, strength: 1, operations: [{ kind: 'chroma', times: 0.5 }] }
    },
    ...(
      [
        { kind: 'point', at: [0.5, 0.25] },
        { kind: 'arrow', from: [0.1, 0.2], to: [0.4, 0.6] },
        {
          kind: 'stroke',
          points: [
            [0.1, 0.1, 0.5],
            [0.3, 0.2, 0.5],
            [0.6, 0.1, 0.5]
          ]
        }
      ] as const
    ).map((mark, i) => ({
      ...plain,
      id: 9 + i,
      station: 'focus' as const,
      tag: `F${3 + i}`,
      what: mark.kind,
      mark,
      area: areaOfMark(mark, source)
    })),
    { ...plain, id: 12, station: 'verdict', tag: 'G6', what: 'All in all' }
  ]
  const written = (list = corrections): { items: Record<string, unknown>[] } =>
    JSON.parse(JSON.stringify(annotationPage(list, source))) as { items: Record<string, unknown>[] }

  it('carry the reading a correction came from, and none for one made by hand or no longer said', () => {
    const [marked, byHand] = written().items,
      earlier = { 'critica:reading': 'said once', 'example:kept': 1 }
    expect(JSON.parse(String(marked!['critica:reading']))).toEqual({
      id: 'value.separation',
      verdict: 'fix',
      sentence: 'The ferry merges with its surroundings.'
    })
    expect(byHand).not.toHaveProperty('critica:reading')
    const [readIn] = written([{ ...corrections[1]!, foreign: earlier }]).items
    expect(readIn).toHaveProperty('example:kept')
    expect(readIn).not.toHaveProperty('critica:reading')
  })

  it("hold to the model's JSON-LD context, offline: every term known, every purpose and selector its own", async () => {
    // The context of the Web Annotation Vocabulary (W3C Recommendation 23 February 2017), from memory. Safe mode
    // refuses any term it does not define.
    const context = JSON.parse(
      readFileSync(new URL('../../tests/fixtures/anno.jsonld', import.meta.url), 'utf8')
    ) as object
    const documentLoader = async (url: string): Promise<{ document: object; documentUrl: string }> => {
      if (url !== 'http://www.w3.org/ns/anno.jsonld') throw new Error(`asked for ${url}`)
      return { document: context, documentUrl: url }
    }
    // The published types know neither safe mode nor a plain document.
    const toRdf = jsonld.toRDF as unknown as (
      document: object,
      options: object
    ) => Promise<{ predicate: { value: string }; object: { value: string } }[]>
    const quads = await toRdf(written(), { documentLoader, safe: true })
    const OA = 'http://www.w3.org/ns/oa#',
      count = (predicate: string, object?: string): number =>
        quads.filter(q => q.predicate.value === predicate && (object === undefined || q.object.value === object)).length
    expect(count('http://www.w3.org/1999/02/22-rdf-syntax-ns#type', `${OA}Annotation`)).toBe(6)
    expect([count(`${OA}hasTarget`), count(`${OA}hasSelector`), count(`${OA}motivatedBy`, `${OA}assessing`)]).toEqual([
      6, 5, 6
    ])
    for (const q of quads.filter(k => k.predicate.value === `${OA}hasPurpose`))
      expect(q.object.value).toMatch(/oa#(identifying|assessing|describing|editing|questioning)$/)
    await expect(toRdf({ ...written(), unheardOf: 1 }, { documentLoader, safe: true })).rejects.toThrow()
  })

  it('come back as they went: area, mark, words, target and trial', () => {
    const back = annotationFileSchema.parse(written()).map(a => correctionFrom(a, source))
    back.forEach((got, i) => {
      const {
        id: _id,
        tag: _tag,
        targetWords: _words,
        reading: _reading,
        foreign: _foreign,
        area,
        ...wanted
      } = corrections[i]!
      expect({ ...got, area: undefined }).toEqual({ ...wanted, area: undefined })
      if (area === null) expect(got.area).toBeNull()
      else
        cornersOf(got.area!).forEach(([x, y], k) =>
          [x - cornersOf(area)[k]![0], y - cornersOf(area)[k]![1]].forEach(off =>
            expect(Math.abs(off)).toBeLessThan(0.004)
          )
        )
    })
  })

  it("of another writer are read by the model's own examples, and their unknown parts are kept", () => {
    // Web Annotation Data Model, examples 4 (textual body), 19 (fragment), 28 (SVG): adapted to a picture; numbers from
    // memory.
    const foreign = [
      {
        '@context': 'http://www.w3.org/ns/anno.jsonld',
        id: 'http://example.org/anno1',
        type: 'Annotation',
        body: { type: 'TextualBody', value: 'Too <b>loud</b>', format: 'text/html', language: 'en' },
        target: {
          source: 'http://example.org/p.jpg',
          selector: {
            type: 'FragmentSelector',
            conformsTo: 'http://www.w3.org/TR/media-frags/',
            value: 'xywh=50,50,640,480'
          },
          state: 'http://example.org/state1'
        },
        rights: 'http://example.org/licence',
        canonical: 'urn:uuid:dbfb1861'
      },
      {
        id: 'http://example.org/anno2',
        type: 'Annotation',
        body: ['A plain remark'],
        target: {
          source: 'http://example.org/p.jpg',
          selector: {
            type: 'SvgSelector',
            value: '<svg xmlns="http://www.w3.org/2000/svg"><path d="M 100,100 L 300,100 L 200,400 Z"/></svg>'
          }
        }
      },
      {
        id: 'http://example.org/anno3',
        type: 'Annotation',
        bodyValue: 'unread',
        body: [
          { type: 'TextualBody', value: 'seen', purpose: 'commenting' },
          { id: 'http://example.org/sound.mp3', type: 'Audio' }
        ],
        target: 'http://example.org/p.jpg'
      }
    ]
    const [one, two, three] = annotationFileSchema.parse(foreign).map(a => correctionFrom(a, source))
    expect(one).toMatchObject({
      what: 'Too <b>loud</b>',
      area: { kind: 'rectangle', x: 0.05, y: 0.1, w: 0.64, h: 0.96 }
    })
    expect(two).toMatchObject({
      what: 'A plain remark',
      area: {
        kind: 'polygon',
        points: [
          [0.1, 0.2],
          [0.3, 0.2],
          [0.2, 0.8]
        ]
      }
    })
    expect(three).toMatchObject({ what: 'seen', area: null })
    const again = written([
      { ...plain, id: 1, tag: 'V1', what: 'Too loud', area: null, foreign: foreign[0]! },
      { ...plain, id: 2, tag: 'V2', what: 'seen', foreign: foreign[2]! }
    ]).items
    expect(again[0]).toMatchObject({
      id: 'http://127.0.0.1/p#correction-1',
      rights: 'http://example.org/licence',
      canonical: 'urn:uuid:dbfb1861',
      target: { source: source.picture, state: 'http://example.org/state1' }
    })
    expect(again[1]).toMatchObject({
      body: expect.arrayContaining([
        { type: 'TextualBody', value: 'seen', purpose: 'commenting' },
        { id: 'http://example.org/sound.mp3', type: 'Audio' }
      ]) as unknown
    })
  })

  it('that are none, or say nothing, are refused', () => {
    for (const file of [
      undefined,
      'x',
      { items: [{ type: 'Note' }] },
      { items: [{ type: 'Annotation' }] },
      Array.from({ length: 201 }, () => ({ type: 'Annotation', target: 'x' }))
    ])
      expect(annotationFileSchema.safeParse(file).success).toBe(false)
    expect(() =>
      correctionFrom(annotationFileSchema.parse({ type: 'Annotation', target: 'http://example.org/p.jpg' })[0]!, source)
    ).toThrow('Say what is wrong')
  })
})
