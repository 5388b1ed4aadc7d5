import { expect, it } from 'vitest'
import { annotationPage } from './annotations'
import { gimpPalette } from './palette'

it('writes a palette as GIMP\'s own loader reads it: magic line, name, three numbers and a name a row', () => {
  const file = gimpPalette('Ferry\nat dusk', [
    { hex: '#2a71b0', share: 0.62, step: 'blue', kind: 'hue', value: 46, temperature: -40 }, { hex: '#0a0a0a', share: 0.05, step: null, kind: 'neutral', value: 2, temperature: 0 }
  ])
  const lines = file.split('\n')
  expect(lines.slice(0, 4)).toEqual(['GIMP Palette', 'Name: Ferry at dusk', 'Columns: 2', '#'])
  expect(lines[4]).toMatch(/^ 42 113 176\tblue hue, 62 %$/)
  expect(lines[5]).toBe(' 10  10  10\tneutral, 5 %')
  for (const row of lines.slice(4, -1)) expect(row).toMatch(/^[ \d]{3} [ \d]{3} [ \d]{3}\t\S/)
})

it('writes corrections as annotations: required properties of the model, purposes from its list, areas as selectors', () => {
  const source = { picture: 'http://127.0.0.1/p', title: 'Ferry', width: 1000, height: 500, creator: 'Tamsin Vane', created: '2026-11-25T00:00:00.000Z' }
  const page = annotationPage([
    { tag: 'V1', area: { kind: 'rectangle', x: 0.25, y: 0.1, w: 0.5, h: 0.25 }, what: 'Merges', reason: '2 apart', todo: 'Lower it', target: '15 steps' },
    { tag: 'H2', area: { kind: 'polygon', points: [[0, 0], [0.5, 0], [0.25, 1]] }, what: 'Loud', reason: '', todo: '', target: null },
    { tag: 'G3', area: null, what: 'All in all', reason: '', todo: '', target: null }
  ], source) as { '@context': string, 'type': string, 'items': { type: string, id: string, motivation: string, body: { type: string, value: string, purpose: string }[], target: { source: string, selector?: { type: string, value: string, conformsTo?: string } } }[] }
  // Web Annotation Data Model §3.1: one @context, id, type Annotation and at least one target; motivations and purposes of §3.3.5.
  const purposes = ['assessing', 'bookmarking', 'classifying', 'commenting', 'describing', 'editing', 'highlighting', 'identifying', 'linking', 'moderating', 'questioning', 'replying', 'tagging']
  expect([page['@context'], page.type]).toEqual(['http://www.w3.org/ns/anno.jsonld', 'AnnotationPage'])
  for (const a of page.items) {
    expect([a.type, a.target.source]).toEqual(['Annotation', source.picture])
    for (const p of [a.motivation, ...a.body.map(b => b.purpose)]) expect(purposes).toContain(p)
    for (const b of a.body) expect(b).toMatchObject({ type: 'TextualBody' })
  }
  expect(new Set(page.items.map(a => a.id)).size).toBe(3)
  expect(page.items[0]!.target.selector).toEqual({ type: 'FragmentSelector', conformsTo: 'http://www.w3.org/TR/media-frags/', value: 'xywh=percent:25,10,50,25' })
  expect(page.items[1]!.target.selector!.value).toContain('points="0,0 500,0 250,500"')
  expect(page.items[2]!.target.selector).toBeUndefined()
})
